/** What on a keyboard, a pedal or another device was pressed, by a name that stays the same: «note 60», «controller 64». */
export type Control = string;

/** What is held down on a MIDI device. */
export type HeldDown = ReadonlySet<Control>;
export const nothingHeld: HeldDown = new Set();

/** From so much on a controller counts as pressed: switches send 127, and pedals that travel all between. */
const pressedFrom = 64;

/**
 * Reads one MIDI message: which control it is about, and whether that is down now. The channel does not
 * matter. Undefined for what is neither a note nor a controller.
 */
function about(message: readonly number[]): { control: Control; isDown: boolean } | undefined {
  const [status = 0, first = 0, second = 0] = message;
  switch (status & 0xf0) {
    case 0x80:
      return { control: `note ${first}`, isDown: false };
    case 0x90:
      return { control: `note ${first}`, isDown: second > 0 };
    case 0xb0:
      // From 120 on these are about the device, not about something pressed.
      return first < 120
        ? { control: `controller ${first}`, isDown: second >= pressedFrom }
        : undefined;
    default:
      return undefined;
  }
}

/** What is pressed by a MIDI message: once when it goes down, however often it is sent. */
export function pressedBy(
  held: HeldDown,
  message: readonly number[],
): { readonly held: HeldDown; readonly pressed: Control | undefined } {
  const found = about(message);
  if (!found || held.has(found.control) === found.isDown) return { held, pressed: undefined };
  const now = new Set(held);
  if (found.isDown) now.add(found.control);
  else now.delete(found.control);
  return { held: now, pressed: found.isDown ? found.control : undefined };
}
