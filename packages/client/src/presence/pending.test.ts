import type { ChangePresence, Presence } from '@wide-fern/contract';
import { isNothing, joined, keepPending, readPending, withPending, without } from './pending';

const [a, b] = ['00000000-0000-4000-8000-00000000000a', '00000000-0000-4000-8000-00000000000b'];
const away = (singer: string, is = true) => ({ singer, away: is, states: [] });

describe('pending changes of presence', () => {
  const presence: Presence = { condition: 'rested', singers: [away(a)] };
  it('show before they are stored, the later one counting', () => {
    const pending = joined(
      { condition: 'morning', singers: [away(a, false)] },
      { singers: [away(a), away(b)] },
    );
    expect(withPending(presence, pending)).toEqual({
      condition: 'morning',
      singers: [away(a), away(b)],
    });
    expect(withPending(presence, {})).toEqual(presence);
  });
  it('stay pending when they were changed again while they were sent', () => {
    const first: ChangePresence = { condition: 'cold', singers: [away(a)] };
    const then = joined(first, { singers: [away(a, false)] });
    expect(without(first, first)).toEqual({});
    expect(without(then, first)).toEqual({ singers: [away(a, false)] });
    expect(without(joined(first, { condition: 'rested' }), first)).toEqual({ condition: 'rested' });
  });
  it('are kept on the device until there are none', () => {
    keepPending('me', 'evening', { singers: [away(a)] });
    expect(readPending('me', 'evening')).toEqual({ singers: [away(a)] });
    expect(readPending('you', 'evening')).toEqual({});
    keepPending('me', 'evening', {});
    expect(isNothing(readPending('me', 'evening'))).toBe(true);
    localStorage.setItem('wide-fern:presence:me:evening', '{"condition":"splendid"}');
    expect(readPending('me', 'evening')).toEqual({});
  });
});
