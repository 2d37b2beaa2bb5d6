import type { AgendaItem } from '@wide-fern/contract';
import { coolDownOf } from './coolingDown';

const at = (clock: string) => Date.parse(`2026-12-01T${clock}:00.000Z`);
const item = (kind: AgendaItem['kind'], minutes: number): AgendaItem => ({
  ...{ id: kind, kind, title: kind, minutes, piece: null },
});
const evening = (...agenda: readonly AgendaItem[]) => ({
  ...{ startsAt: '2026-12-01T19:00:00.000Z', endsAt: '2026-12-01T21:00:00.000Z' },
  agenda: [...agenda],
});

describe('the cool-down at an evening’s end', () => {
  it('is called to mind two minutes before it, where it is planned', () => {
    const planned = evening(item('warm-up', 15), item('piece', 90), item('cool-down', 5));
    expect(coolDownOf(planned)).toEqual({
      ...{ item: 'cool-down', from: at('20:43'), start: at('20:45'), until: at('21:00') },
    });
  });
  it('is due after an hour of singing, six minutes before the end', () => {
    expect(coolDownOf(evening(item('piece', 60)))).toEqual({
      ...{ item: null, from: at('20:54'), start: at('21:00'), until: at('21:00') },
    });
  });
  it('is nothing to speak of on an evening that was hardly sung', () => {
    expect(coolDownOf(evening(item('piece', 59), item('break', 60)))).toBeUndefined();
  });
});
