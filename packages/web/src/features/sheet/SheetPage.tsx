import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { Evening, PlanDocument } from '@wide-fern/contract';
import { cautions } from '@wide-fern/catalogue';
import {
  isPitched,
  lengthInFigures,
  movesInWords,
  noteName,
  tonicName,
  type AccidentalPreference,
  type Sounding,
} from '@wide-fern/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { messageOf } from '../../api/client';
import { eveningQuery, planQuery } from '../../api/queries';
import { useHere } from '../../app/session';
import { MainButton } from '../../ui/MainButton';
import { SelectField } from '../../ui/SelectField';
import { Empty, Failed, Loading } from '../../ui/states';
import { WordLink } from '../../ui/words';
import { evaluate, type Evaluated, type EvaluatedPlan } from '../plan/model/evaluate';
import { clockIn, dayName, ladderHeading, wordingFor, type Clock } from '../plan/model/words';
import { firstNoteOf } from './firstNote';
import './sheet.css';

type Paper = 'a4' | 'letter';
const paperKey = 'wide-fern:paper';

/** A sheet for the stand: black on white, everything to lead from, on A4 or Letter. */
export default function SheetPage() {
  const { evening: eveningId = '', item = 'warm-up' } = useParams();
  const { choir } = useHere();
  const evening = useQuery(eveningQuery(choir.id, eveningId));
  const plan = useQuery(planQuery({ choir: choir.id, evening: eveningId, item }));
  const [paper, setPaper] = useState<Paper>(() =>
    localStorage.getItem(paperKey) === 'letter' ? 'letter' : 'a4',
  );
  const error = evening.error ?? plan.error;
  const back = `/evenings/${eveningId}/plan/${item}`;
  if (error) {
    const retry = () => {
      void evening.refetch();
      void plan.refetch();
    };
    return <Failed message={messageOf(error)} onRetry={retry} />;
  }
  if (!evening.data || plan.data === undefined) return <Loading what="the sheet" />;
  if (!plan.data || plan.data.document.segments.length === 0) {
    return (
      <Empty title="There is nothing to print yet">
        <WordLink to={back}>Plan the warm-up first</WordLink>
      </Empty>
    );
  }
  return (
    <Box>
      <Flex
        as="header"
        className="sheet-tools"
        p="12px 24px"
        gap="24px"
        align="flex-end"
        borderBottomWidth="1px"
      >
        <WordLink to={back}>back to the plan</WordLink>
        <Box w="140px">
          <SelectField
            label="Paper"
            value={paper}
            options={[
              { value: 'a4', word: 'A4' },
              { value: 'letter', word: 'Letter' },
            ]}
            onChange={(event) => {
              const chosen = event.currentTarget.value as Paper;
              localStorage.setItem(paperKey, chosen);
              setPaper(chosen);
            }}
          />
        </Box>
        <MainButton size="sm" onClick={() => window.print()}>
          Print
        </MainButton>
      </Flex>
      <Sheet
        evening={evening.data}
        item={item}
        document={plan.data.document}
        paper={paper}
        choir={choir.name}
        timeZone={choir.timeZone}
        accidentals={choir.accidentals}
      />
    </Box>
  );
}

function Sheet({
  evening,
  item,
  document,
  paper,
  choir,
  timeZone,
  accidentals,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly document: PlanDocument;
  readonly paper: Paper;
  readonly choir: string;
  readonly timeZone: string;
  readonly accidentals: AccidentalPreference;
}) {
  const place = evening.agenda.findIndex(({ id }) => id === item);
  const allotted = (evening.agenda[place]?.minutes ?? 0) * 60;
  const plan = evaluate(document, allotted);
  const clock = clockIn(timeZone);
  const before = evening.agenda.slice(0, place).reduce((sum, { minutes }) => sum + minutes, 0);
  const start = Date.parse(evening.startsAt) + before * 60_000;
  return (
    <main className={`sheet sheet-${paper}`}>
      <header>
        <h1>{dayName(evening.startsAt, timeZone)}</h1>
        <p>
          {choir} · {evening.place} · warm-up {clock.minute(start)} to{' '}
          {clock.second(start + Math.round(plan.total) * 1000)} · {lengthInFigures(plan.total)} of{' '}
          {lengthInFigures(allotted)}
        </p>
      </header>
      <ol>
        {plan.segments.map((evaluated) => (
          <SheetSegment
            key={evaluated.segment.id}
            evaluated={evaluated}
            plan={plan}
            start={start}
            clock={clock}
            accidentals={accidentals}
          />
        ))}
      </ol>
      <footer>
        <p>{cautions.pain}</p>
        {cautionsOf(plan).map(([caution, names]) => (
          <p key={caution}>
            <strong>{names.join(', ')}:</strong> {caution}
          </p>
        ))}
      </footer>
    </main>
  );
}

/** Each caution once, with the exercises it belongs to; the one for all stands by itself. */
function cautionsOf({ segments }: EvaluatedPlan): [string, string[]][] {
  const found = new Map<string, string[]>();
  for (const { segment } of segments) {
    const { name } = segment.exercise;
    for (const caution of segment.exercise.cautions) {
      if (caution === cautions.pain) continue;
      found.set(caution, [...new Set([...(found.get(caution) ?? []), name])]);
    }
  }
  return [...found];
}

function SheetSegment({
  evaluated,
  plan,
  start,
  clock,
  accidentals,
}: {
  readonly evaluated: Evaluated;
  readonly plan: EvaluatedPlan;
  readonly start: number;
  readonly clock: Clock;
  readonly accidentals: AccidentalPreference;
}) {
  const { segment, computed } = evaluated;
  const { exercise, choices } = segment;
  const { bands } = plan.document.tonight;
  const wording = wordingFor(bands, segment, accidentals);
  const { keys } = computed;
  const moves = keys.kind === 'ladder' && keys.sung ? movesInWords(keys.sung, bands, wording) : [];
  const { music } = exercise;
  return (
    <li>
      <div className="sheet-when">
        <strong>{clock.minute(start + Math.round(computed.placed.from) * 1000)}</strong>
        <span>{lengthInFigures(computed.placed.shown)}</span>
      </div>
      <div>
        <h2>
          {exercise.name} <small>{exercise.figure}</small>
        </h2>
        <p>
          <strong>{exercise.cue}</strong> {exercise.purpose}
        </p>
        {music.kind === 'body' && <p>{music.moves.join(' ')}</p>}
        {music.kind === 'spoken' && <p>“{music.lines.join(' ')}”</p>}
        <p>
          {ladderHeading(segment)}
          {music.kind !== 'body' && `, ${choices.tempo} a minute`}
          {music.kind === 'breath' && `, out on ${music.outOn}`}
          {choices.verses > 1 && isPitched(music) && `, ${choices.verses} times in each key`}.
          {moves.length > 0 &&
            ` ${moves.map((move) => move.charAt(0).toUpperCase() + move.slice(1)).join('. ')}.`}
        </p>
        {keys.kind !== 'none' && !keys.sung && <p>No key works for everyone.</p>}
        {keys.kind !== 'none' && keys.sung && (
          <table>
            <thead>
              <tr>
                <th scope="col">Key</th>
                {keys.sung.tonics.map((tonic, i) => (
                  <th key={i} scope="col">
                    {tonicName(tonic, wording.mode, accidentals)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {bands.map((band) => (
                <tr key={band.id}>
                  <th scope="row">{band.id}</th>
                  {computed.repetitions.map(({ parts }, i) => (
                    <td key={i}>
                      {startingNote(
                        parts.find(({ part }) => part === band.id),
                        evaluated,
                        accidentals,
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </li>
  );
}

function startingNote(
  sounding: Sounding | undefined,
  { segment }: Evaluated,
  accidentals: AccidentalPreference,
): string {
  if (!sounding) return '';
  if (sounding.does === 'rest') return 'rest';
  return noteName(firstNoteOf(segment.exercise.music, sounding.tonic), accidentals);
}
