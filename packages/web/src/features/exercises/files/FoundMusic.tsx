import { Box } from '@chakra-ui/react';
import { plainScore, tonicName } from '@wide-fern/core';
import type { ReadFile } from '@wide-fern/interchange';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useHere } from '../../../here/session';
import { lazily, missing } from '../../../ui/lazily';
import { MainButton } from '../../../ui/MainButton';
import { Label, Name } from '../../../ui/words';
import { draftOfMusic } from '../editor/model/draft';
import { keepDraft } from '../editor/model/kept';
import { NotKeptList } from './NotKeptList';

const ScoreStaff = lazily(() => import('../../../music/notation/ScoreStaff'), {
  room: <Box h="128px" />,
  absent: missing('The notes'),
});

/** Music from a file: its notes, what is lost, and on to making an exercise of it. */
export function FoundMusic({
  file,
  found,
}: {
  readonly file: string;
  readonly found: Extract<ReadFile, { kind: 'music' }>;
}) {
  const { choir, account } = useHere();
  const navigate = useNavigate();
  const { music, tonic, tempo, notKept } = found;
  const name = found.name || file.replace(/\.[^.]*$/, '');
  const score = useMemo(
    () => plainScore({ name, music, breathBeats: 2, keyChangeBeats: 2 }, tempo ?? 84, [tonic]),
    [name, music, tempo, tonic],
  );
  const key = tonicName(tonic, music.mode, choir.writing);
  const make = () => {
    keepDraft(account.id, choir.id, 'new', draftOfMusic(name, music, tempo));
    void navigate('/exercises/make/new');
  };
  return (
    <Box>
      <Name as="h2" fontSize="18px">
        {name}
      </Name>
      <Label>
        {music.kind === 'lines'
          ? `${music.lines.length} parts`
          : music.kind === 'glide'
            ? 'a slide'
            : 'a melody'}{' '}
        in {key} {music.mode === 'chromatic' ? '' : music.mode}
        {tempo === undefined ? '; no tempo in the file, 84 is taken' : `, ${tempo} a minute`}
      </Label>
      {score && <ScoreStaff score={score} writing={choir.writing} />}
      <NotKeptList notKept={notKept} />
      <MainButton size="sm" mt="14px" onClick={make}>
        Make an exercise of it
      </MainButton>
    </Box>
  );
}
