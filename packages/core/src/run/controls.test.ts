import fc from 'fast-check';
import { nothingHeld, pressedBy } from './controls';

/** What is pressed by messages one after the other. */
const pressed = (...messages: readonly (readonly number[])[]) => {
  let held = nothingHeld;
  return messages.flatMap((message) => {
    const now = pressedBy(held, message);
    ({ held } = now);
    return now.pressed ?? [];
  });
};

describe('what is pressed on a device', () => {
  it('is a note, or a controller from the middle of its way on, on whatever channel', () => {
    expect(pressed([0x90, 60, 80], [0x95, 62, 1], [0xb3, 64, 127])).toEqual([
      ...['note 60', 'note 62', 'controller 64'],
    ]);
  });
  it('is pressed once until it is let go', () => {
    expect(pressed([0xb0, 64, 127], [0xb0, 64, 127], [0xb0, 64, 0], [0xb0, 64, 127])).toEqual([
      ...['controller 64', 'controller 64'],
    ]);
    // A pedal that travels sends all between.
    expect(
      pressed([0xb0, 4, 10], [0xb0, 4, 63], [0xb0, 4, 64], [0xb0, 4, 110], [0xb0, 4, 70]),
    ).toEqual(['controller 4']);
    expect(pressed([0x90, 60, 80], [0x90, 60, 0], [0x90, 60, 80], [0x80, 60, 0])).toEqual([
      ...['note 60', 'note 60'],
    ]);
  });
  it('is nothing of what is no note and no controller', () => {
    expect(pressed([0xf8], [], [0xb0, 123, 127], [0xe0, 0, 127], [0xc0, 5])).toEqual([]);
  });
  it('never falls over, whatever is sent', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.integer({ min: 0, max: 255 }), { maxLength: 4 })), (all) => {
        for (const name of pressed(...all)) expect(name).toMatch(/^(note|controller) \d+$/);
      }),
    );
  });
});
