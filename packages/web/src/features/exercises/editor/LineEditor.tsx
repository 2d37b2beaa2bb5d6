import { typedProblemInWords } from '@wide-fern/words';
import { Box, Flex, Input, Textarea } from '@chakra-ui/react';
import {
  bind,
  breathe,
  bySemitones,
  bySteps,
  dynamics,
  isNote,
  longer,
  noteAfter,
  noteInKey,
  plainScore,
  readLine,
  restAfter,
  takeOut,
  toStep,
  withLoudness,
  withSyllable,
  writeLength,
  writeLine,
  type Dynamic,
  type LineEdit,
  type Metre,
  type Mode,
} from '@wide-fern/core';
import { lazy, Suspense, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useHere } from '../../../here/session';
import type { PointedAt } from '../../../music/notation/ScoreStaff';
import { Label, WordButton } from '../../../ui/words';

const ScoreStaff = lazy(() => import('../../../music/notation/ScoreStaff'));

/** Lines are written down on middle C. */
const tonic = 60;
/** How many states of the line can be gone back to. */
const remembered = 100;

/** A line as it is typed and as it stands on the staff, always in step; each can be changed. */
export function LineEditor({
  label,
  text,
  mode,
  metre,
  error,
  onText,
}: {
  readonly label: string;
  readonly text: string;
  readonly mode: Mode;
  readonly metre: Metre | null;
  readonly error?: string | undefined;
  readonly onText: (text: string) => void;
}) {
  const { choir } = useHere();
  const field = useRef<HTMLTextAreaElement>(null);
  const [selected, setSelected] = useState<number>();
  const [before, setBefore] = useState<readonly string[]>([]);
  const read = useMemo(() => readLine(text, mode), [text, mode]);
  /** What the staff shows while the typed line cannot be read: the last that could. */
  const [lastGood, setLastGood] = useState(read);
  if (read.kind === 'line' && read !== lastGood) setLastGood(read);
  const shown = read.kind === 'line' ? read : lastGood.kind === 'line' ? lastGood : undefined;
  const score = useMemo(
    () =>
      shown &&
      plainScore(
        {
          name: label,
          music: {
            kind: 'pattern',
            mode,
            ...(metre ? { metre } : {}),
            notes: shown.events,
          },
          breathBeats: 0,
          keyChangeBeats: 0,
        },
        60,
        [tonic],
      ),
    [shown, label, mode, metre],
  );
  const count = shown?.events.length ?? 0;
  const at = selected === undefined ? undefined : Math.min(selected, count - 1);
  const event = at === undefined ? undefined : shown?.events[at];

  const change = (edit: LineEdit, then?: number) => {
    if (read.kind !== 'line') return;
    const next = edit(read.events);
    if (next === read.events) return;
    setBefore((was) => [...was.slice(-remembered), text]);
    onText(writeLine(next, mode));
    if (then !== undefined) setSelected(Math.max(0, Math.min(next.length - 1, then)));
  };
  const goBack = () => {
    const last = before[before.length - 1];
    if (last === undefined) return;
    setBefore(before.slice(0, -1));
    onText(last);
  };
  /** Shows in the typed line what is chosen on the staff. */
  const choose = (to: number) => {
    const place = Math.max(0, Math.min(count - 1, to));
    setSelected(place);
    const where = read.kind === 'line' ? read.places[place] : undefined;
    if (where) field.current?.setSelectionRange(where[0], where[1]);
  };
  const point = ({ event: pointed, step }: PointedAt) => {
    if (pointed === undefined) change(noteAfter(count - 1, step, mode), count);
    else {
      change(toStep(pointed, step, mode), pointed);
      setSelected(pointed);
    }
  };
  const keys: Readonly<Record<string, () => void>> =
    at === undefined
      ? { ArrowRight: () => choose(0), ArrowLeft: () => choose(count - 1) }
      : {
          ArrowLeft: () => choose(at - 1),
          ArrowRight: () => choose(at + 1),
          ArrowUp: () => change(bySteps(at, 1, mode)),
          ArrowDown: () => change(bySteps(at, -1, mode)),
          '+': () => change(longer(at, 1)),
          '-': () => change(longer(at, -1)),
          Enter: () => change(noteAfter(at), at + 1),
          r: () => change(restAfter(at), at + 1),
          Delete: () => change(takeOut(at), at),
          Backspace: () => change(takeOut(at), at - 1),
          '~': () => change(bind(at)),
          ',': () => change(breathe(at)),
          z: goBack,
        };
  const onKey = (pressed: KeyboardEvent) => {
    if (pressed.ctrlKey || pressed.metaKey || pressed.altKey) return;
    if (pressed.shiftKey && at !== undefined && /^Arrow(Up|Down)$/.test(pressed.key)) {
      pressed.preventDefault();
      change(bySemitones(at, pressed.key === 'ArrowUp' ? 1 : -1));
      return;
    }
    const act = keys[pressed.key];
    if (!act) return;
    pressed.preventDefault();
    act();
  };
  const word = (words: string, act: () => void, disabled = at === undefined) => (
    <WordButton fontSize="13px" disabled={disabled} onClick={act}>
      {words}
    </WordButton>
  );
  const inWords = (): string => {
    if (!event || at === undefined) return 'Click a note, or the staff behind the last one.';
    const what = isNote(event)
      ? noteInKey(tonic + event.offset, tonic, mode, choir.accidentals)
      : 'rest';
    return `${at + 1} of ${count}: ${what}, ${writeLength(event.beats)} ${event.beats === 1 ? 'beat' : 'beats'}`;
  };
  const problem = read.kind === 'problem' ? read : undefined;
  const message = problem
    ? `At character ${problem.at + 1}: ${typedProblemInWords(problem)}`
    : error;
  return (
    <Flex gap="20px" direction={{ base: 'column', lg: 'row' }} align="stretch">
      <Box flex="0 0 38%" minW={0}>
        <Label as="label" display="block" fontSize="12px">
          {label}, typed
          <Textarea
            ref={field}
            value={text}
            rows={3}
            spellCheck={false}
            autoCapitalize="off"
            aria-invalid={message !== undefined}
            bg="sheet"
            color="ink"
            borderWidth="1px"
            borderColor={message ? 'brick' : 'inkSoft'}
            borderRadius="3px"
            fontSize="15px"
            w="100%"
            px="8px"
            py="4px"
            onChange={(typed) => onText(typed.currentTarget.value)}
          />
        </Label>
        {problem && (
          <Box fontSize="13px" fontFamily="mono" whiteSpace="pre-wrap" aria-hidden="true" mt="2px">
            {text.slice(Math.max(0, problem.at - 24), problem.at)}
            <Box as="span" bg="brick" color="sheet" px="1px">
              {text[problem.at] ?? '⏎'}
            </Box>
            {text.slice(problem.at + 1, problem.at + 16)}
          </Box>
        )}
        {message && (
          <Box role="alert" color="brick" fontSize="13px">
            {message}
          </Box>
        )}
        <Box as="details" fontSize="12px" color="inkSoft" mt="4px">
          <summary style={{ cursor: 'pointer' }}>how a line is typed</summary>
          <Box as="dl" display="grid" gridTemplateColumns="96px 1fr" mt="2px" columnGap="8px">
            {(
              [
                ['1 2 3 8', 'steps of the scale; 8 is the octave'],
                ['<7  4+  3-', 'below the tonic; raised; lowered by a semitone'],
                ['5:2  5:1/2', 'how many beats'],
                [':1/2', 'so long from here on'],
                ['r  r:2', 'a rest'],
                ['5(noo)', 'a syllable; a hyphen at its end goes on: (a-) (long)'],
                ['3~ 2', 'bound together'],
                [',  |', 'breathe here; a bar line for the eye'],
                ['p  mf  ff', 'this loud from the next note on'],
              ] as const
            ).map(([signs, meaning]) => (
              <Box key={signs} display="contents">
                <Box as="dt" color="ink" fontFamily="mono">
                  {signs}
                </Box>
                <Box as="dd">{meaning}</Box>
              </Box>
            ))}
          </Box>
        </Box>
      </Box>
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
          {score && (
            <Suspense fallback={<Box h="110px" />}>
              <ScoreStaff
                score={score}
                accidentals={choir.accidentals}
                selected={at}
                onPoint={problem ? () => undefined : point}
              />
            </Suspense>
          )}
        </Box>
        <Box role="status" fontSize="13px" mt="2px">
          {inWords()}
        </Box>
        {!problem && (
          <Flex gap="4px 12px" wrap="wrap" align="center" mt="2px">
            {word('higher', () => change(bySteps(at!, 1, mode)))}
            {word('lower', () => change(bySteps(at!, -1, mode)))}
            {word('semitone up', () => change(bySemitones(at!, 1)))}
            {word('semitone down', () => change(bySemitones(at!, -1)))}
            {word('longer', () => change(longer(at!, 1)))}
            {word('shorter', () => change(longer(at!, -1)))}
            {word('note after', () => change(noteAfter(at!), at! + 1))}
            {word('rest after', () => change(restAfter(at!), at! + 1))}
            {word('bind', () => change(bind(at!)))}
            {word('breathe', () => change(breathe(at!)))}
            {word('take out', () => change(takeOut(at!), at))}
            {word('step back', goBack, before.length === 0)}
            {event && isNote(event) && at !== undefined && (
              <>
                <Input
                  aria-label="Syllable"
                  placeholder="syllable"
                  size="xs"
                  w="90px"
                  fontSize="13px"
                  bg="sheet"
                  value={event.syllable ?? ''}
                  onChange={(typed) => change(withSyllable(at, typed.currentTarget.value))}
                />
                <select
                  aria-label="How loud from here on"
                  value={event.dynamic ?? ''}
                  style={{ fontSize: 13, background: 'var(--chakra-colors-sheet)' }}
                  onChange={(chosen) =>
                    change(
                      withLoudness(
                        at,
                        (chosen.currentTarget.value || undefined) as Dynamic | undefined,
                      ),
                    )
                  }
                >
                  <option value="">as before</option>
                  {dynamics.map((dynamic) => (
                    <option key={dynamic}>{dynamic}</option>
                  ))}
                </select>
              </>
            )}
          </Flex>
        )}
      </Box>
    </Flex>
  );
}
