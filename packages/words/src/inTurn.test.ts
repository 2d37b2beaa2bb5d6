import type { Choices, SentEvent } from '@wide-fern/contract';
import { firstNotes, tonicName } from '@wide-fern/core';
import { choose, evaluate, ledPlan, performAll, planNow, runAt } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { differenceInWords } from './plan/compare';
import { editInWords } from './plan/edits';
import { linesInTurnWords, turnsOfSegment } from './plan/single';
import { standOf } from './run/stand';
import { sheetFor } from './sheet';

const planOf = (id: string, choices: Partial<Choices>) =>
  performAll(documentOf(id), [choose(id, choices)]);
const segmentOf = (id: string, choices: Partial<Choices>) =>
  evaluate(planOf(id, choices), 900).segments[0]!;

/** What the stand shows in the first key: each part's first notes. */
function standing(id: string, choices: Partial<Choices>): { notes: string[]; sung: string } {
  const document = planOf(id, choices);
  const plan = ledPlan({ startedAt: '2026-12-01T18:30:00.000Z', seconds: 900, document });
  const events: SentEvent[] = [
    { id: 'e0', n: 0, at: 0, act: { kind: 'opened', segment: id } },
    { id: 'e1', n: 1, at: 1000, act: { kind: 'began', key: 0 } },
  ];
  const state = runAt(plan, events);
  const { parts, sung: on } = standOf(planNow(plan, events, state), state, 'flats')!;
  return { notes: parts.map(({ note }) => note ?? 'rests'), sung: on };
}

/** The same from what is sung, turn by turn. */
function sung(id: string, choices: Partial<Choices>, turns: number): string[] {
  const { segment, computed } = segmentOf(id, choices);
  const { parts } = computed.repetitions[0]!;
  return parts.map(({ part }) => {
    const each = Array.from({ length: turns }, (_, turn) => {
      const note = firstNotes(segment.exercise.music, parts, turn)[part]!;
      return note === 'rest' ? 'rests' : `${tonicName(note)}${Math.floor(note / 12) - 1}`;
    });
    return (new Set(each).size === 1 ? each.slice(0, 1) : each).join(', ');
  });
}

describe('lines that come in turn', () => {
  const inTurn = { linesInTurn: true, verses: 2 };

  it('give each part a first note for each time, on the stand and on the sheet', () => {
    const notes = sung('treble-thirds', inTurn, 2);
    expect(notes.filter((one) => one.includes(', ')).length).toBeGreaterThan(1);
    const once = standing('treble-thirds', { verses: 2 }).sung;
    expect(once).not.toBe('');
    expect(standing('treble-thirds', inTurn)).toEqual({
      notes,
      sung: `${once}. Each time everybody takes the next line.`,
    });
    const sheetWith = (choices: Partial<Choices>) =>
      sheetFor('lead', {
        ...{ document: planOf('treble-thirds', choices), allotted: 900 },
        ...{
          place: '',
          start: Date.parse('2026-12-01T18:30:00.000Z'),
          choir: 'Quarry Lane Singers',
        },
        ...{ timeZone: 'Europe/London', clock: '24' as const, writing: 'flats' as const },
      }).entries[0]!;
    const entry = sheetWith(inTurn);
    expect(entry.table!.rows.map(({ cells }) => cells[0])).toEqual(notes);
    // Written once, as it is sung the first time.
    const events = ({ notes: written }: ReturnType<typeof sheetWith>) =>
      written?.kind === 'score'
        ? written.score.keys[0]!.lines.map((line) => line.events.length)
        : [];
    expect(events(entry)).toEqual(events(sheetWith({ verses: 2 })));
    expect(events(entry).length).toBeGreaterThan(1);
  });

  it('say a note once where it is the same each time', () => {
    const round = { linesInTurn: true, verses: 4 };
    expect(standing('two-boats', round).notes).toEqual(standing('two-boats', { verses: 4 }).notes);
  });

  it('are told as what they are', () => {
    expect(turnsOfSegment(segmentOf('treble-thirds', inTurn).segment)).toBe(
      'Each time everybody takes the next line.',
    );
    expect(turnsOfSegment(segmentOf('two-boats', inTurn).segment)).toBe('Each time others begin.');
    expect(turnsOfSegment(segmentOf('keel', inTurn).segment)).toBe(
      'Each time others hold the note.',
    );
    // Sung once there is no turn to take.
    expect(turnsOfSegment(segmentOf('keel', { ...inTurn, verses: 1 }).segment)).toBe('');
    expect(linesInTurnWords(false, 'round')).toBe('the same begin each time');
    const { segment } = segmentOf('keel', inTurn);
    expect(differenceInWords({ code: 'choice', field: 'linesInTurn', segment })).toBe(
      'each time others hold the note',
    );
    expect(editInWords({ code: 'chosen', name: 'Keel', field: 'linesInTurn', value: null })).toBe(
      'Keel: the parts take no turns',
    );
  });
});
