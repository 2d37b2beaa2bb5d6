import type { AgendaItem } from '@wide-fern/contract';
import { warmUpBefore } from './warmUpBefore';

const items = (...kinds: readonly (AgendaItem['kind'] | `piece ${string}`)[]): AgendaItem[] =>
  kinds.map((kind, i) => {
    const [one, piece = null] = kind.split(' ') as [AgendaItem['kind'], string?];
    return { id: `item-${i}`, kind: one, title: kind, minutes: 10, piece };
  });
const found = (agenda: AgendaItem[], piece: string) => {
  const one = warmUpBefore(agenda, piece);
  return one && [one.item.id, one.isStraight];
};

describe('the warm-up before a piece', () => {
  it('is the last one before it, straight or with something between', () => {
    const agenda = items('warm-up', 'piece a', 'warm-up', 'piece b', 'piece c');
    expect(found(agenda, 'a')).toEqual(['item-0', true]);
    expect(found(agenda, 'b')).toEqual(['item-2', true]);
    expect(found(agenda, 'c')).toEqual(['item-2', false]);
  });
  it('is the first one where the piece is not on or nothing goes before it', () => {
    expect(found(items('warm-up', 'piece a'), 'z')).toEqual(['item-0', false]);
    expect(found(items('piece a', 'warm-up'), 'a')).toEqual(['item-1', false]);
    expect(found(items('piece a', 'break'), 'a')).toBeUndefined();
  });
});
