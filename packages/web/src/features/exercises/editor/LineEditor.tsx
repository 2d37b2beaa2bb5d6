import { Box, Flex } from '@chakra-ui/react';
import { useRef, type KeyboardEvent } from 'react';
import { useHere } from '../../../here/session';
import { lazily, missing } from '../../../ui/lazily';
import { Label } from '../../../ui/words';
import { LineActs } from './LineActs';
import { LineText } from './LineText';
import { actOfKey, choiceOfKey, chosenInWords } from './model/lineActs';
import { useLine, type TypedLine } from './model/useLine';

const ScoreStaff = lazily(() => import('../../../music/notation/ScoreStaff'), {
  room: <Box h="128px" />,
  absent: missing('The notes'),
});

/** A line as it is typed and as it stands on the staff, always in step; each can be changed. */
export function LineEditor({
  error,
  ...typed
}: TypedLine & { readonly error?: string | undefined }) {
  const { choir } = useHere();
  const { label, text, mode, onText } = typed;
  const field = useRef<HTMLTextAreaElement>(null);
  const line = useLine(typed);
  const { at, events, problem } = line;
  const onKey = (pressed: KeyboardEvent) => {
    if (pressed.ctrlKey || pressed.metaKey || pressed.altKey) return;
    const act = at === undefined ? undefined : actOfKey(pressed.key, pressed.shiftKey);
    const choice = choiceOfKey(pressed.key, at, events.length);
    if (act) line.act(act);
    else if (choice !== undefined) {
      // What is chosen on the staff shows in the typed line.
      const where = line.choose(choice);
      if (where) field.current?.setSelectionRange(where[0], where[1]);
    } else if (pressed.key === 'z' && at !== undefined) line.goBack();
    else return;
    pressed.preventDefault();
  };
  return (
    <Flex gap="20px" direction={{ base: 'column', lg: 'row' }} align="stretch">
      <LineText
        ref={field}
        label={label}
        text={text}
        problem={problem}
        error={error}
        onText={onText}
      />
      <Box flex="1" minW={0}>
        <Label fontSize="12px">
          {label}, on the staff {problem && '(as it was before the mistake)'}
        </Label>
        <Box
          tabIndex={0}
          role="group"
          aria-label={`${label} on the staff. Arrows choose a note and move it; plus and minus change its length; Enter adds one; Delete takes it out.`}
          onKeyDown={onKey}
          borderBottomWidth="1px"
        >
          {line.score && (
            <ScoreStaff
              score={line.score}
              writing={choir.writing}
              selected={at}
              onPoint={problem ? () => undefined : line.point}
            />
          )}
        </Box>
        <Box role="status" fontSize="13px" mt="2px">
          {chosenInWords(events, at, mode, choir.writing)}
        </Box>
        {!problem && <LineActs line={line} />}
      </Box>
    </Flex>
  );
}
