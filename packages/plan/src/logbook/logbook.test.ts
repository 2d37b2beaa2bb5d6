import { documentOf } from '../testing/plans';
import { ledOnce, logbookOf, pieceId } from '../testing/logbooks';
import { evaluate } from '../evaluate';
import { ledIn, readLogbook, type Reading } from './logbook';
import { plannedTimes } from './phaseTimes';

const reading: Reading = {
  ...{ span: 'week', count: 8, today: '2026-12-01' },
  dayOf: (moment) => moment.slice(0, 10),
};
const breath = ledOnce('long-s', { phase: 'breath', purposes: ['low breath', 'long outflow'] });
const range = ledOnce('pulley');
const book = logbookOf([
  { day: '2026-10-27', led: [breath, range] },
  { day: '2026-11-10', led: [range] },
  { day: '2026-11-17', led: [range, ledOnce('slate-steps')] },
  { day: '2026-11-24', led: [range] },
]);

describe('a logbook as it is read', () => {
  const view = readLogbook(book, reading);

  it('has a column for each week since the first evening, those without an evening too', () => {
    expect(view.columns.map(({ column }) => column)).toEqual([
      ...['2026-10-26', '2026-11-02', '2026-11-09', '2026-11-16', '2026-11-23', '2026-11-30'],
    ]);
    expect(view.columns.map(({ evenings }) => evenings.length)).toEqual([1, 0, 1, 1, 1, 0]);
    // Of a choir that has only begun there are four.
    expect(readLogbook(logbookOf([]), reading).columns).toHaveLength(4);
    const months = readLogbook(book, { ...reading, span: 'month', count: 12 });
    expect(months.columns.map(({ column, evenings }) => [column, evenings.length])).toEqual([
      ['2026-09-01', 0],
      ['2026-10-01', 1],
      ['2026-11-01', 3],
      ['2026-12-01', 0],
    ]);
  });

  it('sums what was led by kind of work, by skill and in all', () => {
    const seconds = view.times.find(({ phase }) => phase === 'range')!.seconds;
    expect(seconds).toEqual([60, 0, 60, 120, 60, 0]);
    expect(view.columns[3]).toMatchObject({ planned: 140, real: 140, talk: 20 });
    expect(view.skills).toEqual([
      { skill: 'top notes', seconds: 300 },
      { skill: 'low breath', seconds: 60 },
      { skill: 'long outflow', seconds: 60 },
    ]);
    expect(view.neglected).toMatchObject({ phase: 'breath', from: 2, to: 4, led: 3 });
    expect(ledIn(view.columns[3]!, 'range')[0]!.led.map(({ exercise }) => exercise)).toEqual([
      'pulley',
      'slate-steps',
    ]);
    expect(ledIn(view.columns[3]!, 'breath')).toEqual([]);
  });

  it('counts each warm-up once, as it was led longest: a false start is none', () => {
    const { runs, led } = book;
    const [id, evening] = [pieceId(9), book.evenings[1]!.id];
    const twice = {
      ...book,
      runs: [...runs, { ...runs[1]!, id, evening, real: 12 }],
      led: [...led, { ...range, run: id, singing: 12 }],
    };
    expect(readLogbook(twice, reading)).toEqual(view);
  });

  it('follows each piece by its open target, else by what was judged most', () => {
    const [a, b, c] = [pieceId(1), pieceId(2), pieceId(3)];
    const judged = (
      piece: string,
      judgedOn: string,
      tuning: number,
      target: 'tuning' | null = null,
    ) => ({
      ...{ piece, judgedOn, target },
      scores: [
        { skill: 'tuning' as const, score: tuning },
        { skill: 'blend' as const, score: 3 },
      ],
    });
    const {
      judged: rows,
      open,
      closed,
    } = readLogbook(
      {
        ...book,
        pieces: [
          { id: a, title: 'A' },
          { id: b, title: 'B' },
          { id: c, title: 'C' },
        ],
        judged: [
          judged(a, '2026-10-27', 2, 'tuning'),
          judged(b, '2026-11-10', 2, 'tuning'),
          judged(a, '2026-11-10', 2),
          judged(a, '2026-11-12', 1),
          judged(b, '2026-11-24', 4),
        ],
      },
      reading,
    );
    expect(rows.map(({ title, skill }) => [title, skill])).toEqual([
      ['A', 'tuning'],
      ['B', 'blend'],
    ]);
    expect(rows[0]!.scores).toEqual([[2], [], [2, 1], [], [], []]);
    expect(open).toEqual([{ title: 'A', skill: 'tuning', since: '2026-10-27', score: 2, last: 1 }]);
    expect(closed).toEqual([{ title: 'B', skill: 'tuning', from: '2026-11-10', to: '2026-11-24' }]);
  });

  it('weighs judgements against what was led in between, over all pieces and by piece', () => {
    const judged = ['2026-10-27', '2026-11-10', '2026-11-24'].flatMap((judgedOn, i) =>
      [pieceId(1), pieceId(2)].map((piece) => ({
        ...{ piece, judgedOn, target: null },
        scores: [{ skill: 'top notes' as const, score: 2 + i }],
      })),
    );
    const pieces = [1, 2].map((n) => ({ id: pieceId(n), title: `P${n}` }));
    const [effect] = readLogbook({ ...book, judged, pieces }, reading).effects;
    expect(effect!.all.pairs.map(({ change, seconds }) => [change, seconds])).toEqual([
      [1, 60],
      [1, 60],
      [1, 180],
      [1, 180],
    ]);
    expect(effect!.all.rates).toBeUndefined();
    expect(effect!.byPiece.map(({ title, effect: own }) => [title, own.pairs.length])).toEqual([
      ['P1', 2],
      ['P2', 2],
    ]);
  });

  it('names what was not led for three weeks or more, the longest first', () => {
    const lastLed = [
      { exercise: 'a', name: 'A', ledAt: '2026-11-10T19:30:00.000Z' },
      { exercise: 'b', name: 'B', ledAt: '2026-11-11T19:30:00.000Z' },
      { exercise: 'c', name: 'C', ledAt: '2026-03-03T19:30:00.000Z' },
    ];
    expect(readLogbook({ ...book, lastLed }, reading).unused).toEqual([
      { exercise: 'c', name: 'C', weeks: 39 },
      { exercise: 'a', name: 'A', weeks: 3 },
    ]);
    // What is to come has its column, and makes nothing older than it is.
    const ahead = readLogbook({ ...book, lastLed }, { ...reading, until: '2026-12-08' });
    expect(ahead.columns.at(-1)!.column).toBe('2026-12-07');
    expect(ahead.unused.map(({ weeks }) => weeks)).toEqual([39, 3]);
  });
});

describe('what a plan has for each kind of work', () => {
  it('is all of it but talk', () => {
    const document = documentOf('coat-off', 'pulley', 'slate-steps');
    const { times, total } = plannedTimes(document);
    const plan = evaluate(document, 0);
    const sung = times.reduce((sum, { seconds }) => sum + seconds[0]!, 0);
    const talk = plan.segments.reduce((sum, { computed }) => sum + computed.talk, 0);
    expect(total).toBe(plan.total);
    expect(sung).toBeCloseTo(total - talk, 6);
  });
});
