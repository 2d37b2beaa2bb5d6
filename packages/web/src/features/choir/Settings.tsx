import { Box } from '@chakra-ui/react';
import { changeChoirSchema } from '@wide-fern/contract';
import { useState } from 'react';
import { call } from '@wide-fern/client';
import { noteNamings } from '@wide-fern/core';
import { namingWords } from '@wide-fern/words';
import { useHere } from '../../here/session';
import { FormField } from '../../ui/FormField';
import { QuietButton } from '../../ui/MainButton';
import { Said } from '../../ui/Passage';
import { SelectField } from '../../ui/SelectField';
import { useSentForm } from '../../ui/useSentForm';
import { zoneOptions } from '../../ui/zones';
import { useChoirSaid } from '../../here/useChoirSaid';

const namings = noteNamings.map((value) => ({ value, word: namingWords[value] }));
const spellings = [
  { value: 'flats', word: 'in flats: D♭ E♭ G♭ A♭ B♭' },
  { value: 'sharps', word: 'in sharps: C♯ D♯ F♯ G♯ A♯' },
];

const clockOptions = [
  { value: '24', word: 'in 24 hours: 19:30' },
  { value: '12', word: 'in twice twelve: 7:30 pm' },
];

/** What the choir is called, where it meets, and how its notes are named. */
export function Settings() {
  const { choir } = useHere();
  const take = useChoirSaid();
  const [isDone, setDone] = useState(false);
  const { id, name, timeZone, accidentals, naming, clock } = choir;
  const { form, onSubmit, errorOf, problem, isSending } = useSentForm({
    schema: changeChoirSchema,
    fields: ['name', 'timeZone', 'clock', 'naming', 'accidentals'],
    defaultValues: { name, timeZone, clock, naming, accidentals },
    send: (body) => call('changeChoir', { params: { choir: id }, body }),
    onDone: async (saved) => {
      await take(saved);
      setDone(true);
    },
  });
  const disabled = choir.role !== 'director';
  return (
    <form noValidate onSubmit={onSubmit} onChange={() => setDone(false)}>
      <Box display="grid" gap="12px" maxW="380px">
        <FormField
          label="The choir’s name"
          size="sm"
          disabled={disabled}
          error={errorOf('name')}
          {...form.register('name')}
        />
        <SelectField
          label="Time zone of its evenings"
          options={zoneOptions}
          disabled={disabled}
          error={errorOf('timeZone')}
          {...form.register('timeZone')}
        />
        <SelectField
          label="Times of day are shown"
          options={clockOptions}
          disabled={disabled}
          {...form.register('clock')}
        />
        <SelectField
          label="Notes are named"
          options={namings}
          disabled={disabled}
          {...form.register('naming')}
        />
        <SelectField
          label="Notes outside a key are written"
          options={spellings}
          disabled={disabled}
          {...form.register('accidentals')}
        />
        {!disabled && (
          <QuietButton type="submit" size="sm" disabled={isSending}>
            Keep these
          </QuietButton>
        )}
        <Said wrong>{problem}</Said>
        <Said>{isDone && 'Kept.'}</Said>
      </Box>
    </form>
  );
}
