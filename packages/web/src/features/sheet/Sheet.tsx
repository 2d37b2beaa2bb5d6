import type { ClockKind, Evening, PlanDocument } from '@wide-fern/contract';
import {
  accompanimentInWords,
  cautions,
  passesInWords,
  lengthInFigures,
  movesOfKeys,
  type Wording,
  clockIn,
  dayInWords,
  ladderHeading,
  ownPitchInWords,
  wordingFor,
  type Clock,
  doneLines,
} from '@wide-fern/words';
import { lazy, Suspense, useMemo } from 'react';
import {
  choirScore,
  firstNotes,
  plainScore,
  withInstrument,
  hasKeys,
  noteInKey,
  onOwnPitch,
  tonicName,
  type NoteWriting,
  type Section,
  type MidiNote,
} from '@wide-fern/core';
import { itemTime, evaluate, type Evaluated, type EvaluatedPlan } from '@wide-fern/plan';

/** The engraver comes when there is something to engrave. */
const ScoreStaff = lazy(() => import('../../music/notation/ScoreStaff'));

export type Paper = 'a4' | 'letter';

/** A warm-up on paper: when, what, in which keys, on which notes. */
export function Sheet({
  evening,
  item,
  document,
  paper,
  choir,
  timeZone,
  clock: kind,
  writing,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly document: PlanDocument;
  readonly paper: Paper;
  readonly choir: string;
  readonly timeZone: string;
  /** How times of day are shown. */
  readonly clock: ClockKind;
  readonly writing: NoteWriting;
}) {
  const { start, allotted } = itemTime(evening, item);
  const plan = evaluate(document, allotted);
  const clock = clockIn(timeZone, kind);
  return (
    <main className={`sheet sheet-${paper}`}>
      <header>
        <h1>{dayInWords(evening.startsAt, timeZone)}</h1>
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
            writing={writing}
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
  writing,
}: {
  readonly evaluated: Evaluated;
  readonly plan: EvaluatedPlan;
  readonly start: number;
  readonly clock: Clock;
  readonly writing: NoteWriting;
}) {
  const { segment, computed } = evaluated;
  const { exercise, choices } = segment;
  const { sections } = plan.document.tonight;
  const wording = wordingFor(sections, segment, writing);
  const { keys } = computed;
  const moves = movesOfKeys(keys, wording);
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
        {(exercise.cue || exercise.purpose) && (
          <p>
            <strong>{exercise.cue}</strong> {exercise.purpose}
          </p>
        )}
        <SheetStaff evaluated={evaluated} sections={sections} writing={writing} />
        {music.kind === 'body' && <p>{doneLines(music).join(' ')}</p>}
        {onOwnPitch(music) && <p>{ownPitchInWords(exercise, choices)}</p>}
        {music.kind === 'spoken' && <p>“{music.lines.join(' ')}”</p>}
        <p>
          {ladderHeading(segment)}
          {music.kind !== 'body' && `, ${choices.tempo} a minute`}
          {music.kind === 'breath' && `, out on ${music.outOn}`}
          {choices.verses > 1 && hasKeys(music) && `, ${choices.verses} times in each key`}.
          {moves.length > 0 &&
            ` ${moves.map((move) => move.charAt(0).toUpperCase() + move.slice(1)).join('. ')}.`}
        </p>
        {exercise.passes && <p>{passesInWords(exercise.passes).join(' ')}</p>}
        {exercise.accompaniment && <p>{accompanimentInWords(exercise.accompaniment)}</p>}
        {keys.kind !== 'none' && !keys.sung && <p>No key works for everyone.</p>}
        {keys.kind !== 'none' && keys.sung && (
          <table>
            <thead>
              <tr>
                <th scope="col">Key</th>
                {keys.sung.tonics.map((tonic, i) => (
                  <th key={i} scope="col">
                    {tonicName(tonic, wording.mode, writing)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {sections.map((band) => (
                <tr key={band.id}>
                  <th scope="row">{band.id}</th>
                  {computed.repetitions.map(({ parts, tonic }, i) => (
                    <td key={i}>
                      {startingNote(firstNotes(music, parts)[band.id], tonic ?? 0, wording)}
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

/** The notes and words in the first key: one line where all sing alike, else every part. */
function SheetStaff({
  evaluated: { segment, computed },
  sections,
  writing,
}: {
  readonly evaluated: Evaluated;
  readonly sections: readonly Section[];
  readonly writing: NoteWriting;
}) {
  const { exercise, choices } = segment;
  const score = useMemo(() => {
    const { kind } = exercise.music;
    // No note is given, so none is printed.
    if (onOwnPitch(exercise.music)) return undefined;
    const isAlike = kind === 'pattern' || kind === 'glide' || kind === 'hold' || kind === 'round';
    const tonic = computed.repetitions[0]?.tonic;
    const sung = isAlike
      ? plainScore(exercise, choices.tempo, [trebleOf(tonic ?? 60)])
      : choirScore(exercise, choices.tempo, sections, computed.repetitions.slice(0, 1));
    return sung && withInstrument(sung);
  }, [exercise, choices.tempo, sections, computed]);
  if (!score || score.keys.length === 0) return null;
  return (
    <div className="sheet-staff">
      <Suspense fallback={null}>
        <ScoreStaff score={score} writing={writing} />
      </Suspense>
    </div>
  );
}

/** The tonic where a treble reads it: men sing it an octave below. */
const trebleOf = (tonic: MidiNote): MidiNote => (tonic < 55 ? trebleOf(tonic + 12) : tonic);

/** A part's first note in one key, spelled in that key; or that it rests. */
function startingNote(
  note: MidiNote | 'rest' | undefined,
  key: MidiNote,
  wording: Wording,
): string {
  if (note === undefined || note === 'rest') return note ?? '';
  return noteInKey(note, key, wording.mode, wording.writing);
}
