/** Thrown where the device makes no sound. */
export class NoSound extends Error {
  constructor() {
    super('This device gives no sound. Its speaker may be off or taken by another program.');
  }
}
