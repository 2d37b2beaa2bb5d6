/** Where MIDI messages come from: connected devices, or what stands in for them. */
export interface MidiSource {
  readonly stop: () => void;
}

/** Why devices cannot be listened to, for a person. */
class NoMidi extends Error {}

type OnMessage = (message: readonly number[]) => void;

/**
 * Listens to every device that is connected, also to those that are connected later.
 * @throws NoMidi where the browser has none, or it is not allowed
 */
export async function connectedMidi(onMessage: OnMessage): Promise<MidiSource> {
  if (!('requestMIDIAccess' in navigator)) {
    throw new NoMidi('This browser cannot listen to MIDI devices; another one may.');
  }
  let access: MIDIAccess;
  try {
    access = await navigator.requestMIDIAccess();
  } catch {
    throw new NoMidi('MIDI devices may not be listened to here; allow it for this page.');
  }
  const hear = (event: MIDIMessageEvent) => {
    if (event.data) onMessage([...event.data]);
  };
  const listen = () => {
    for (const input of access.inputs.values()) input.onmidimessage = hear;
  };
  listen();
  access.onstatechange = listen;
  return {
    stop: () => {
      access.onstatechange = null;
      for (const input of access.inputs.values()) input.onmidimessage = null;
    },
  };
}
