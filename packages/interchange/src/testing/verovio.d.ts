/** What the tests use of a reader that is not ours; it comes without types. */
declare module 'verovio/wasm' {
  const create: () => Promise<object>;
  export default create;
}
declare module 'verovio/esm' {
  export class VerovioToolkit {
    constructor(module: object);
    setOptions(options: Readonly<Record<string, unknown>>): void;
    /** Whether the file could be read: 0 where it could not. */
    loadData(data: string): number;
    /** What it hears, as a MIDI file in base 64. */
    renderToMIDI(): string;
  }
}
