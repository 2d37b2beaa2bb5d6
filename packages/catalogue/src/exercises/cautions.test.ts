import { cautions } from '@wide-fern/words';
import { exercises } from '..';

const byId = new Map(exercises.map((exercise) => [exercise.id, exercise]));
const saying = (id: string) => byId.get(id)!.cautions;

describe('cautions', () => {
  it('stand on all counted breath, and on every held one', () => {
    for (const { id, music } of exercises) {
      if (music.kind !== 'breath') continue;
      expect([id, saying(id).includes(cautions.lightHead)]).toEqual([id, true]);
      const held = music.hold > 0 || music.increment.hold > 0;
      expect([id, saying(id).includes(cautions.breathHold)]).toEqual([id, held]);
    }
  });
  it('offer the unheld version of every held breath', () => {
    for (const { id, music, substitutes } of exercises) {
      if (music.kind !== 'breath' || music.hold + music.increment.hold === 0) continue;
      const unheld = substitutes.some(({ exercise }) => {
        const other = byId.get(exercise)!.music;
        return other.kind !== 'breath' || other.hold + other.increment.hold === 0;
      });
      expect([id, unheld]).toEqual([id, true]);
    }
  });
  it.each([
    ['slow-look', cautions.neck],
    ['coat-off', cautions.neck],
    ['coat-off', cautions.jaw],
    ['soft-hinge', cautions.jaw],
    ['tongue-drawer', cautions.jaw],
    ['face-shutters', cautions.jaw],
    ['bread-hum', cautions.jaw],
    ['high-shelf', cautions.shoulders],
    ['knee-dip', cautions.knees],
    ['knee-dip', cautions.balance],
    ['willow-down', cautions.bending],
    ['low-creak', cautions.creak],
    ['match-heads', cautions.pulses],
    ['pump-house', cautions.pulses],
    ['across-the-lock', cautions.pulses],
    ['across-the-lock', cautions.loud],
    ['lifted-oars', cautions.breathHold],
    ['crane-hook', cautions.moreRoom],
    ['attic-sigh', cautions.moreRoom],
  ])('%s says what to mind', (id, caution) => {
    expect(saying(id)).toContain(caution);
  });
  it('of close vowels stand only where one is sung high', () => {
    expect(saying('slate-steps')).not.toContain(cautions.moreRoom);
    expect(saying('narrow-hum')).not.toContain(cautions.moreRoom);
  });
  it('stand on strong singing, on first sounds and on every exercise of range', () => {
    for (const { id, phase, effort } of exercises) {
      if (effort >= 4)
        expect([id, saying(id)]).toEqual([id, expect.arrayContaining([cautions.pain])]);
      if (phase === 'onset') expect(saying(id)).toContain(cautions.cold);
      if (phase === 'range') expect(saying(id)).toContain(cautions.changing);
    }
  });
});
