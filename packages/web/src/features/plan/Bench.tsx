import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits, type Choices, type Tonight } from '@wide-fern/contract';
import {
  asSentences,
  breathRounds,
  chosenStartInWords,
  decidingInWords,
  edgesInWords,
  infeasibleInWords,
  isPitched,
  movesInWords,
  noteName,
  shapes,
  shapeWords,
  tonicName,
  type AccidentalPreference,
  type Shape,
  type Wording,
} from '@wide-fern/core';
import type { ReactNode } from 'react';
import { color } from '../../ui/color';
import { Label, Name, WordButton } from '../../ui/words';
import { KeyStrip } from './KeyStrip';
import type { Evaluated, EvaluatedPlan } from './model/evaluate';
import { needMetInWords } from './model/needs';
import { breathInWords, ladderHeading, timeInWords, wordingFor } from './model/words';
import { PatternFigure } from './PatternFigure';
import { Stepper } from './Stepper';
import { SvgText } from '../../ui/SvgText';

/** What the bench can do to its segment. */
export interface BenchActions {
  readonly choose: (changed: Partial<Choices>, label: string) => void;
  readonly moveBy: (places: number) => void;
  readonly leaveOut: () => void;
}

const selectStyle = {
  background: 'var(--chakra-colors-sheet)',
  border: '1px solid var(--chakra-colors-line)',
  borderRadius: 3,
  padding: '1px 2px',
  width: 'auto',
  fontSize: 13,
} as const;

function Choice<T extends string | number>({
  label,
  value,
  options,
  disabled,
  onChange,
}: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, string])[];
  readonly disabled: boolean;
  readonly onChange: (value: T) => void;
}) {
  return (
    <select
      aria-label={label}
      style={selectStyle}
      value={value}
      disabled={disabled}
      onChange={(event) => onChange(options[event.currentTarget.selectedIndex]![0])}
    >
      {options.map(([key, word]) => (
        <option key={key} value={key}>
          {word}
        </option>
      ))}
    </select>
  );
}

const steps = [
  [1, 'a semitone'],
  [2, 'a tone'],
  [3, '3 semitones'],
  [4, '4 semitones'],
  [5, '5 semitones'],
] as const;

const shortShapes: Readonly<Record<Shape, string>> = { ...shapeWords, outward: 'outward' };

/** What is chosen for the segment: tempo, how many, which way, how much talk. */
function Choosing({
  evaluated: { segment },
  mayEdit,
  actions,
}: {
  readonly evaluated: Evaluated;
  readonly mayEdit: boolean;
  readonly actions: BenchActions;
}) {
  const { choices, exercise } = segment;
  const { kind } = exercise.music;
  const pitched = isPitched(exercise.music);
  const counted = pitched ? 'Keys' : kind === 'breath' ? 'Rounds' : 'Times';
  const disabled = !mayEdit;
  const set = (name: keyof Choices) => (value: number) =>
    actions.choose({ [name]: value }, `${segment.id} ${name}`);
  const knownStep = steps.some(([step]) => step === choices.step);
  const stepOptions: (readonly [number, string])[] = knownStep
    ? [...steps]
    : [...steps, [choices.step, `${choices.step} semitones`]];
  return (
    <Box display="grid" gap="3px" mt="4px">
      {kind !== 'body' && (
        <Stepper
          label="Tempo"
          value={choices.tempo}
          limits={choiceLimits.tempo}
          step={2}
          unit="a minute"
          disabled={disabled}
          onChange={set('tempo')}
        />
      )}
      <Flex columnGap="12px" wrap="wrap">
        <Stepper
          label={counted}
          value={choices.repetitions}
          limits={choiceLimits.repetitions}
          disabled={disabled}
          onChange={(value) => set('repetitions')(Math.round(value))}
        />
        {pitched && (
          <Stepper
            label="sung"
            name="Times sung in each key"
            labelWidth="auto"
            value={choices.verses}
            limits={choiceLimits.verses}
            unit={choices.verses === 1 ? 'time' : 'times'}
            disabled={disabled}
            onChange={(value) => set('verses')(Math.round(value))}
          />
        )}
      </Flex>
      {pitched && (
        <Flex gap="6px" fontSize="13px" align="center" wrap="wrap">
          <Box as="span" color="inkSoft" w="48px">
            Moving
          </Box>
          <Choice<Shape>
            label="Which way the keys move"
            value={choices.shape}
            options={shapes.map((shape) => [shape, shortShapes[shape]] as const)}
            disabled={disabled}
            onChange={(shape) => actions.choose({ shape }, `${segment.id} shape`)}
          />
          by
          <Choice<number>
            label="How far from key to key"
            value={choices.step}
            options={stepOptions}
            disabled={disabled}
            onChange={(step) => actions.choose({ step }, `${segment.id} step`)}
          />
        </Flex>
      )}
      <Flex columnGap="16px" wrap="wrap">
        <Stepper
          label="Talk"
          value={choices.talk}
          limits={choiceLimits.talk}
          step={5}
          unit="s"
          disabled={disabled}
          onChange={set('talk')}
        />
        {(pitched || kind === 'spoken') && (
          <Flex as="label" align="center" gap="6px" fontSize="13px">
            <input
              type="checkbox"
              checked={choices.demonstrate}
              disabled={disabled}
              onChange={(event) =>
                actions.choose({ demonstrate: event.currentTarget.checked }, `${segment.id} show`)
              }
            />
            {pitched ? 'sing it first' : 'say it first'}
          </Flex>
        )}
      </Flex>
    </Box>
  );
}

/** The rounds of counted breathing to scale: in rises, held stays, out falls, rest lies low. */
function BreathFigure({ evaluated: { segment } }: { readonly evaluated: Evaluated }) {
  const { music } = segment.exercise;
  if (music.kind !== 'breath') return null;
  const { repetitions, tempo } = segment.choices;
  const rounds = breathRounds({ ...music, rounds: repetitions, tempo });
  const total = rounds.reduce((sum, r) => sum + r.in + r.hold + r.out + r.rest, 0);
  const width = 470;
  const x = (beats: number) => (beats / Math.max(1, total)) * width;
  let beat = 0;
  const points = rounds.flatMap((round) => {
    const corner = (length: number, y: number) => {
      beat += length;
      return `${x(beat)},${y}`;
    };
    return [
      corner(round.in, 14),
      corner(round.hold, 14),
      corner(round.out, 62),
      corner(round.rest, 62),
    ];
  });
  let from = 0;
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${width} 100`}
      role="img"
      aria-label="The breath, round by round"
    >
      <polyline
        points={`0,62 ${points.join(' ')}`}
        fill="none"
        stroke={color('ink')}
        strokeWidth={1.8}
      />
      {rounds.map((round, i) => {
        const start = x(from);
        from += round.in + round.hold + round.out + round.rest;
        const counts = [round.in, round.hold, round.out, round.rest].filter((count) => count > 0);
        return (
          <g key={i}>
            <line x1={start} x2={start} y1={8} y2={70} stroke={color('line')} />
            <SvgText x={start + 3} y={84}>
              {counts.join(' · ')}
            </SvgText>
          </g>
        );
      })}
    </svg>
  );
}

/** The middle of the bench: the keys, or what is counted, said or moved. */
function Middle({
  evaluated,
  plan,
  wording,
  width,
  mayEdit,
  actions,
}: {
  readonly evaluated: Evaluated;
  readonly plan: EvaluatedPlan;
  readonly wording: Wording;
  readonly width: number;
  readonly mayEdit: boolean;
  readonly actions: BenchActions;
}) {
  const { segment, computed } = evaluated;
  const { music } = segment.exercise;
  const { keys } = computed;
  const { bands } = plan.document.tonight;
  if (music.kind === 'breath') {
    return (
      <>
        <BreathFigure evaluated={evaluated} />
        <Box>{breathInWords(music)}</Box>
      </>
    );
  }
  if (music.kind === 'body' || music.kind === 'spoken') {
    const lines = music.kind === 'body' ? music.moves : music.lines;
    return (
      <Box as="ol" pl="20px" listStyleType={lines.length > 1 ? 'decimal' : 'none'} mt="4px">
        {lines.map((line) => (
          <Box as="li" key={line} mb="2px" fontSize={music.kind === 'spoken' ? '18px' : '15px'}>
            {line}
          </Box>
        ))}
      </Box>
    );
  }
  if (keys.kind === 'chord')
    return <ChordKeys evaluated={evaluated} plan={plan} wording={wording} />;
  if (keys.kind !== 'ladder') return null;
  const { best, sung, problem } = keys;
  const isBest = best.kind === 'ladder' && sung?.start === best.start;
  return (
    <>
      <KeyStrip
        keys={keys}
        bands={bands}
        wording={wording}
        width={width}
        mayEdit={mayEdit}
        onStart={(start) =>
          actions.choose(
            { start: best.kind === 'ladder' && start === best.start ? null : start },
            `${segment.id} start`,
          )
        }
      />
      <Flex fontSize="13px" gap="8px" align="baseline" role="status" mt="2px">
        <Box
          w="6px"
          h="6px"
          borderRadius="50%"
          bg={isBest ? 'fern' : sung ? 'spore' : 'brick'}
          flexShrink={0}
          alignSelf="center"
        />
        <Box>
          {best.kind === 'infeasible' && !sung
            ? infeasibleInWords(best, problem, wording)
            : !sung
              ? `Nobody can start on ${tonicName(segment.choices.start ?? 0, wording.mode, wording.accidentals)}: it leaves a part’s reach in too many keys.`
              : isBest
                ? `Best start ${tonicName(sung.start, wording.mode, wording.accidentals)}.`
                : best.kind === 'ladder'
                  ? chosenStartInWords(sung, best, problem, wording)
                  : ''}{' '}
          {!isBest && best.kind === 'ladder' && mayEdit && (
            <WordButton
              fontSize="13px"
              onClick={() => actions.choose({ start: null }, `${segment.id} start`)}
            >
              take the best, {tonicName(best.start, wording.mode, wording.accidentals)}
            </WordButton>
          )}
        </Box>
      </Flex>
    </>
  );
}

/** A chord's notes for each part, key by key. */
function ChordKeys({
  evaluated: { computed },
  plan,
  wording,
}: {
  readonly evaluated: Evaluated;
  readonly plan: EvaluatedPlan;
  readonly wording: Wording;
}) {
  const { keys } = computed;
  if (keys.kind !== 'chord') return null;
  if (!keys.sung) return <Box color="brick">No chord can be voiced inside everyone’s reach.</Box>;
  const { tonics, voicings } = keys.sung;
  return (
    <Box
      as="table"
      fontSize="15px"
      mt="4px"
      css={{ '& th, & td': { padding: '2px 14px 2px 0', textAlign: 'left' } }}
    >
      <thead>
        <tr>
          <th>
            <Label as="span">Key</Label>
          </th>
          {tonics.map((tonic, i) => (
            <th key={i} scope="col">
              {tonicName(tonic, wording.mode, wording.accidentals)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {plan.document.tonight.bands.map((band, part) => (
          <tr key={band.id}>
            <th scope="row">{band.id}</th>
            {voicings.map((notes, i) => (
              <td key={i}>{noteName(notes[part]!, wording.accidentals)}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

function Row({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box display="grid" gridTemplateColumns="62px 1fr" mb="4px">
      <Label as="dt" fontSize="12px" pt="1px">
        {label}
      </Label>
      <Box as="dd">{children}</Box>
    </Box>
  );
}

/** The right of the bench: why, what to say, what to mind, how long. */
function Words({
  evaluated,
  tonight,
  wording,
  accidentals,
}: {
  readonly evaluated: Evaluated;
  readonly tonight: Tonight;
  readonly wording: Wording;
  readonly accidentals: AccidentalPreference;
}) {
  const { segment, computed } = evaluated;
  const { exercise } = segment;
  const { keys } = computed;
  const { sung, problem } = keys.kind === 'ladder' ? keys : {};
  const why = [
    ...needMetInWords(evaluated, tonight, accidentals),
    ...(sung && problem ? asSentences(decidingInWords(sung, problem, wording)) : []),
  ];
  const moves = sung ? asSentences(movesInWords(sung, tonight.bands, wording)) : [];
  const edges = sung && problem ? asSentences(edgesInWords(sung, problem, wording)) : [];
  return (
    <Box as="dl" fontSize="13px">
      {why.length > 0 && <Row label="Why">{why.join(' ')}</Row>}
      {sung && (
        <Row label="Parts">
          {moves.length > 0 ? moves.join(' ') : 'Every part sings every key in its usual octave.'}
        </Row>
      )}
      {edges.length > 0 && <Row label="Edge">{edges.join(' ')}</Row>}
      <Row label="Cue">
        <Name as="span" fontSize="15px">
          {exercise.cue}
        </Name>
      </Row>
      <Row label="Purpose">{exercise.purpose}</Row>
      {exercise.steps.length > 0 && <Row label="Steps">{exercise.steps.join(' ')}</Row>}
      {exercise.watchFor.length > 0 && <Row label="Watch">{exercise.watchFor.join(' ')}</Row>}
      {exercise.cautions.length > 0 && (
        <Row label="Caution">
          {exercise.cautions.map((caution) => (
            <Flex key={caution} gap="6px" align="baseline">
              <svg width="8" height="8" viewBox="0 0 8 8" aria-hidden="true">
                <path d="M4 0 L8 4 L4 8 L0 4 Z" fill={color('spore')} />
              </svg>
              <Box>{caution}</Box>
            </Flex>
          ))}
        </Row>
      )}
      <Row label="Time">
        <details>
          <summary style={{ cursor: 'pointer' }}>{timeInWords(evaluated)[0]}</summary>
          {timeInWords(evaluated).slice(1).join(' ')}
        </details>
      </Row>
    </Box>
  );
}

/** Where the chosen segment is worked on. */
export function Bench({
  evaluated,
  plan,
  accidentals,
  mayEdit,
  width,
  actions,
}: {
  readonly evaluated: Evaluated;
  readonly plan: EvaluatedPlan;
  readonly accidentals: AccidentalPreference;
  readonly mayEdit: boolean;
  readonly width: number;
  readonly actions: BenchActions;
}) {
  const { segment } = evaluated;
  const { exercise } = segment;
  const wording = wordingFor(plan.document.tonight.bands, segment, accidentals);
  const stacked = width < 860;
  const left = stacked ? width - 32 : Math.min(336, width * 0.27);
  const middle = stacked ? width - 32 : Math.min(480, width * 0.39);
  return (
    <Box
      as="section"
      aria-label={`Bench: ${exercise.name}`}
      display="grid"
      gridTemplateColumns={stacked ? '1fr' : `${left}px ${middle}px 1fr`}
      gap={stacked ? '16px' : '28px'}
      px={stacked ? '16px' : '24px'}
      pt="10px"
      pb="16px"
    >
      <Box>
        <Flex align="baseline" gap="10px" wrap="wrap">
          <Name as="h2" fontSize="18px">
            {exercise.name}
          </Name>
          <Label as="span">{exercise.figure}</Label>
        </Flex>
        {isPitched(exercise.music) && (
          <PatternFigure music={exercise.music} width={left} height={58} />
        )}
        <Choosing evaluated={evaluated} mayEdit={mayEdit} actions={actions} />
      </Box>
      <Box>
        <Flex align="baseline" gap="12px" wrap="wrap" fontSize="13px">
          <Box fontWeight={650}>{ladderHeading(segment)}</Box>
          {evaluated.computed.keys.kind === 'ladder' && (
            <Label as="span" fontSize="12px">
              open is room, filled is none
            </Label>
          )}
          {isPitched(exercise.music) && mayEdit && (
            <Flex gap="12px" ml="auto">
              <WordButton
                fontSize="13px"
                onClick={() =>
                  actions.choose(
                    { repetitions: segment.choices.repetitions - 1 },
                    `${segment.id} repetitions`,
                  )
                }
                disabled={segment.choices.repetitions <= choiceLimits.repetitions[0]}
              >
                − one key
              </WordButton>
              <WordButton
                fontSize="13px"
                onClick={() =>
                  actions.choose(
                    { repetitions: segment.choices.repetitions + 1 },
                    `${segment.id} repetitions`,
                  )
                }
                disabled={segment.choices.repetitions >= choiceLimits.repetitions[1]}
              >
                + one key
              </WordButton>
            </Flex>
          )}
        </Flex>
        <Middle
          evaluated={evaluated}
          plan={plan}
          wording={wording}
          width={middle}
          mayEdit={mayEdit}
          actions={actions}
        />
      </Box>
      <Box>
        <Words
          evaluated={evaluated}
          tonight={plan.document.tonight}
          wording={wording}
          accidentals={accidentals}
        />
        {mayEdit && (
          <Flex gap="16px" mt="6px" wrap="wrap">
            <WordButton fontSize="13px" onClick={() => actions.moveBy(-1)}>
              earlier
            </WordButton>
            <WordButton fontSize="13px" onClick={() => actions.moveBy(1)}>
              later
            </WordButton>
            <WordButton fontSize="13px" onClick={actions.leaveOut}>
              leave out
            </WordButton>
          </Flex>
        )}
      </Box>
    </Box>
  );
}
