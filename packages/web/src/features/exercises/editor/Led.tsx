import { Box } from '@chakra-ui/react';
import { choiceLimits } from '@wide-fern/contract';
import {
  anchors,
  breathings,
  demonstrations,
  groupings,
  phases,
  shapes,
  type Music,
} from '@wide-fern/core';
import {
  anchorWords,
  breathingWords,
  demonstrationInWords,
  phaseWords,
  shapeWords,
} from '@wide-fern/words';
import { SelectField } from '../../../ui/SelectField';
import { Stepper } from '../../../ui/Stepper';
import { Tick } from '../../../ui/Tick';
import { withFields } from './model/further';
import type { DraftProps } from './musicParts';
import { OnTheWay } from './OnTheWay';

const pitchedKinds: readonly Music['kind'][] = [
  'pattern',
  'lines',
  'round',
  'drone',
  'glide',
  'hold',
  'chord',
];

/** Whether a draft is of a kind that has notes over a tonic. */
export const isPitchedDraft = ({ kind }: DraftProps['draft']): boolean =>
  pitchedKinds.includes(kind);

type Figure =
  | 'tempo'
  | 'repetitions'
  | 'verses'
  | 'talk'
  | 'countIn'
  | 'breathBeats'
  | 'keyChangeBeats'
  | 'step'
  | 'tempoStep'
  | 'coach'
  | 'after'
  | 'effort'
  | 'difficulty';

/** One of the figures, stepped as they are counted. */
function FigureField({
  label,
  name,
  limits,
  unit,
  draft,
  set,
}: Pick<DraftProps, 'draft' | 'set'> & {
  readonly label: string;
  readonly name: Figure;
  readonly limits: readonly [number, number];
  readonly unit?: string;
}) {
  const isTalk = name === 'talk' || name === 'coach' || name === 'after';
  return (
    <Stepper
      label={label}
      labelWidth="92px"
      value={draft[name]}
      limits={limits}
      step={name === 'tempo' ? 2 : isTalk ? 5 : 1}
      {...(unit === undefined ? {} : { unit })}
      disabled={false}
      onChange={(value) => set({ [name]: name === 'tempo' ? value : Math.round(value) })}
    />
  );
}

/** How it is usually led: in figures, and where on the voice. */
export function Led({ draft, set }: Pick<DraftProps, 'draft' | 'set'>) {
  const pitched = isPitchedDraft(draft);
  const counted = pitched || draft.kind === 'spoken';
  const field = { draft, set };
  const rounds = pitched ? 'Keys' : draft.kind === 'breath' ? 'Rounds' : 'Times';
  return (
    <Box display="grid" gap="4px" alignContent="start">
      <SelectField
        label="Phase"
        value={draft.phase}
        options={phases.map((phase) => ({ value: phase, word: phaseWords[phase] }))}
        onChange={(event) => set({ phase: phases[event.currentTarget.selectedIndex]! })}
      />
      {pitched && (
        <SelectField
          label="On the voice"
          value={draft.anchor}
          options={anchors.map((anchor) => ({ value: anchor, word: anchorWords[anchor] }))}
          onChange={(event) => set({ anchor: anchors[event.currentTarget.selectedIndex]! })}
        />
      )}
      <FigureField {...field} label="Effort" name="effort" limits={[1, 5]} unit="of 5" />
      <FigureField {...field} label="Difficulty" name="difficulty" limits={[1, 3]} unit="of 3" />
      {draft.kind !== 'body' && (
        <FigureField
          {...field}
          label="Tempo"
          name="tempo"
          limits={choiceLimits.tempo}
          unit="a minute"
        />
      )}
      <FigureField {...field} label={rounds} name="repetitions" limits={choiceLimits.repetitions} />
      {pitched && <KeysMove {...field} />}
      {counted && (
        <>
          <FigureField
            {...field}
            label="Quicker by"
            name="tempoStep"
            limits={choiceLimits.tempoStep}
            unit="each time"
          />
          <SelectField
            label="Shown"
            value={draft.demonstration}
            options={demonstrations.map((one) => ({ value: one, word: demonstrationInWords(one) }))}
            onChange={(event) =>
              set({ demonstration: demonstrations[event.currentTarget.selectedIndex]! })
            }
          />
        </>
      )}
      <Timed {...field} pitched={pitched} counted={counted} />
    </Box>
  );
}

/** How often in each key, and which way the keys move. */
function KeysMove(field: Pick<DraftProps, 'draft' | 'set'>) {
  const { draft, set } = field;
  const step = draft.bySteps ? 'step' : 'semitone';
  return (
    <>
      <FigureField
        {...field}
        label="In each key"
        name="verses"
        limits={choiceLimits.verses}
        unit={draft.verses === 1 ? 'time' : 'times'}
      />
      <SelectField
        label="Keys move"
        value={draft.shape}
        options={shapes.map((shape) => ({ value: shape, word: shapeWords[shape] }))}
        onChange={(event) => set({ shape: shapes[event.currentTarget.selectedIndex]! })}
      />
      <FigureField
        {...field}
        label="By"
        name="step"
        limits={choiceLimits.step}
        unit={draft.step === 1 ? step : `${step}s`}
      />
      <Tick checked={draft.bySteps} onChange={(bySteps) => set({ bySteps })}>
        by steps of its scale
      </Tick>
      <SelectField
        label="High and low voices"
        value={draft.keys?.groups ?? ''}
        options={[
          { value: '', word: 'in the same keys' },
          { value: 'in turn', word: 'keys of their own, in turn' },
          { value: 'together', word: 'keys of their own, together' },
        ]}
        onChange={(event) => {
          const groups = groupings[event.currentTarget.selectedIndex - 1];
          const keys = withFields(draft.keys ?? {}, { groups });
          set({ keys: Object.keys(keys).length > 0 ? keys : undefined });
        }}
      />
    </>
  );
}

/** What is said, counted and breathed around it. */
function Timed({
  pitched,
  counted,
  ...field
}: Pick<DraftProps, 'draft' | 'set'> & {
  readonly pitched: boolean;
  readonly counted: boolean;
}) {
  const { draft, set } = field;
  const { talk } = choiceLimits;
  return (
    <>
      <FigureField {...field} label="Talk" name="talk" limits={talk} unit="s" />
      {pitched && (
        <FigureField {...field} label="Between keys" name="coach" limits={talk} unit="s of talk" />
      )}
      <FigureField {...field} label="At the end" name="after" limits={talk} unit="s of talk" />
      {pitched && (
        <SelectField
          label="Breath"
          value={draft.breathing}
          options={breathings.map((one) => ({ value: one, word: breathingWords[one] }))}
          onChange={(event) => set({ breathing: breathings[event.currentTarget.selectedIndex]! })}
        />
      )}
      {counted && (
        <FigureField {...field} label="Count in" name="countIn" limits={[0, 16]} unit="beats" />
      )}
      <OnTheWay {...field} counted={counted} />
      {counted && (
        <FigureField
          {...field}
          label="Breathe"
          name="breathBeats"
          limits={[0, 16]}
          unit="beats after it"
        />
      )}
      {pitched && (
        <FigureField
          {...field}
          label="Change key"
          name="keyChangeBeats"
          limits={[0, 16]}
          unit="beats"
        />
      )}
    </>
  );
}
