import { itemTime } from './itemTime';

const item = (id: string, minutes: number) => ({
  id,
  kind: 'piece' as const,
  title: id,
  minutes,
  piece: null,
});
const evening = {
  startsAt: '2026-12-01T19:30:00.000Z',
  agenda: [item('arrival', 10), item('warm-up', 15), item('piece', 40)],
};

describe('an agenda item on the clock', () => {
  it('begins when those before it have ended', () => {
    expect(itemTime(evening, 'warm-up')).toEqual({
      start: Date.parse('2026-12-01T19:40:00Z'),
      allotted: 900,
    });
    expect(itemTime(evening, 'arrival').start).toBe(Date.parse(evening.startsAt));
  });
  it('has no time when it is not there', () => {
    expect(itemTime(evening, 'unknown')).toEqual({
      start: Date.parse(evening.startsAt),
      allotted: 0,
    });
  });
});
