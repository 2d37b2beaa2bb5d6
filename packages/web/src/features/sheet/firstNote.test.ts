import { exercises } from '@wide-fern/catalogue';
import { firstNoteOf } from './firstNote';

const first = (id: string) => firstNoteOf(exercises.find((one) => one.id === id)!.music, 60);

describe('the note a part begins on', () => {
  it('is the pattern’s or the glide’s first, or the tonic itself', () => {
    expect(first('narrow-hum')).toBe(67);
    expect(first('slate-steps')).toBe(60);
    expect(first('humming-slide')).toBe(67);
    expect(first('open-vowels')).toBe(60);
    expect(first('lantern-chord')).toBe(60);
  });
});
