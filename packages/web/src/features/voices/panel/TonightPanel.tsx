import { Box } from '@chakra-ui/react';
import {
  dayInWords,
  absenceInWords,
  capitalise,
  conditionInWords,
  rangeInWords,
  statesInWords,
} from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { ConditionField } from '../../../here/who/ConditionField';
import { Label } from '../../../ui/words';
import type { PanelProps } from './props';
import { PanelHead } from './PanelHead';
import { WhoList } from '../../../here/who/WhoList';

/** Who is here on the coming evening, and how: everyone, as usual, until something is said. */
export function TonightPanel({ data, section, sections, undecided, onOpen }: PanelProps) {
  const { choir } = useHere();
  const { evening, presence, setting } = data;
  if (!evening || !presence.presence) return null;
  const { condition } = presence.presence;
  const { part, rows, section: band } = section;
  const away = rows.filter((row) => row.away).length;
  const everyone = evening.withEveryone.find(({ id }) => id === part.id);
  const absence =
    everyone &&
    absenceInWords({ ...part, away, comfort: band.comfort }, everyone.comfort, choir.writing);
  const usual = evening.asUsual.find(({ id }) => id === part.id);
  const states =
    everyone && usual && statesInWords(part.many, everyone.comfort, usual.comfort, choir.writing);
  return (
    <Box>
      <PanelHead title="Who is here" onClose={() => onOpen('section')} close="done" />
      <Label mb="12px">{dayInWords(evening.startsAt, choir.timeZone)}</Label>
      <ConditionField
        value={condition}
        onChange={(found) => presence.change({ condition: found })}
      />
      <Label mt="4px">
        {conditionInWords(condition, setting.voices.trims.conditions[condition]) ||
          'Nothing is taken off anybody’s range.'}
      </Label>
      {presence.trouble && (
        <Box role="alert" color="brick" fontSize="13px" mt="8px">
          {presence.trouble}
        </Box>
      )}
      <WhoList sections={sections} undecided={undecided} first={part.id} change={presence.change} />
      <Box mt="12px" role="status">
        {[states, absence].map((words) => (words ? `${capitalise(words)}. ` : ''))}
        Easy tonight: {rangeInWords(band.comfort, choir.writing)}.
      </Box>
      <Label mt="8px">
        Trims are rules of thumb, not a finding about a voice. Whoever is hoarse or in pain does not
        sing; hoarseness that lasts is for a doctor.
      </Label>
    </Box>
  );
}
