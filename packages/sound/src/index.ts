/** Sound as numbers: recordings, what is heard in them, and voices made for trying. No device, no interface. */
export * from './frame';
export * from './holding';
export * from './level';
export * from './listen';
export * from './simulatedSinger';
export * from './voice';
export * from './wav';
