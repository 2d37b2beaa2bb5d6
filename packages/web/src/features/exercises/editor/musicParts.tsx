import { Box } from '@chakra-ui/react';
import { FormField } from '../../../ui/FormField';
import { Stepper } from '../../../ui/Stepper';
import { Label } from '../../../ui/words';
import { TextField } from './fields';
import type { CountRow, ExerciseDraft } from './model/draft';
import { withColumn, withFields, type Column } from './model/further';

/** What the fields of a draft are given. */
export interface DraftProps {
  readonly draft: ExerciseDraft;
  readonly errors: Readonly<Record<string, string>>;
  readonly set: (changed: Partial<ExerciseDraft>) => void;
}

/** A figure in a row of figures. */
export function Figure({
  label,
  labelWidth = 'auto',
  value,
  limits,
  step = 1,
  unit,
  onChange,
}: {
  readonly label: string;
  readonly labelWidth?: string;
  readonly value: number;
  readonly limits: readonly [number, number];
  readonly step?: number;
  readonly unit?: string;
  readonly onChange: (value: number) => void;
}) {
  return (
    <Stepper
      label={label}
      labelWidth={labelWidth}
      value={value}
      limits={limits}
      step={step}
      {...(unit === undefined ? {} : { unit })}
      disabled={false}
      onChange={onChange}
    />
  );
}

/** The counts of breath as a small table: the first round, and what each round adds. */
export function Counts({ draft, errors, set }: DraftProps) {
  const columns = ['in', 'hold', 'out', 'rest'] as const;
  const { further } = draft;
  const never = further.music.least;
  const change = (name: 'counts' | 'growing' | 'least', column: Column, value: number) =>
    set(
      name === 'least'
        ? {
            further: {
              ...further,
              music: withFields(further.music, {
                least: withColumn(never, column, value > 0 ? value : undefined),
              }),
            },
          }
        : { [name]: { ...draft[name], [column]: value } },
    );
  const row = (label: string, name: 'counts' | 'growing' | 'least', values: CountRow) => (
    <tr>
      <Box as="th" textAlign="left" fontWeight={400} pr="16px">
        {label}
      </Box>
      {columns.map((column) => (
        <Box as="td" key={column} pr="12px">
          <Stepper
            label=""
            name={`${column}, ${label}`}
            labelWidth="0"
            value={values[column]}
            limits={name === 'growing' ? [-64, 64] : [0, 64]}
            disabled={false}
            onChange={(value) => change(name, column, value)}
          />
        </Box>
      ))}
    </tr>
  );
  return (
    <Box>
      <Box as="table" fontSize="13px">
        <thead>
          <tr>
            <td />
            {columns.map((column) => (
              <Box as="th" key={column} textAlign="left" fontWeight={400} color="inkSoft">
                {column}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {row('first round', 'counts', draft.counts)}
          {row('each round adds', 'growing', draft.growing)}
          {columns.some((column) => draft.growing[column] < 0) &&
            row('never under', 'least', {
              in: never?.in ?? 0,
              hold: never?.hold ?? 0,
              out: never?.out ?? 0,
              rest: never?.rest ?? 0,
            })}
        </tbody>
      </Box>
      {errors.counts && (
        <Box role="alert" color="brick" fontSize="13px">
          {errors.counts}
        </Box>
      )}
      <Box mt="8px" maxW="260px">
        <FormField
          label="Out on"
          value={draft.outOn}
          error={errors.outOn}
          onChange={(event) => set({ outOn: event.currentTarget.value })}
        />
      </Box>
      {(draft.counts.hold > 0 || draft.growing.hold > 0) && (
        <Label mt="6px">
          Held breath is not for everyone: name an unheld exercise below for who cannot.
        </Label>
      )}
    </Box>
  );
}

/** Words that are spoken, or chanted on one pitch. */
export function Text({ draft, errors, set, what }: DraftProps & { readonly what: string }) {
  return (
    <Box display="grid" gap="10px">
      <TextField
        label={what}
        value={draft.text}
        error={errors.text}
        onChange={(text) => set({ text })}
      />
      <Figure
        label="It takes"
        value={draft.textBeats}
        limits={[1, 256]}
        unit="beats"
        onChange={(textBeats) => set({ textBeats })}
      />
    </Box>
  );
}
