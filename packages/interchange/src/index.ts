/** Files in open formats, read into exercises and written from them (docs/interchange.md). */
export { writeAbc } from './abc/write';
export { compress } from './container/compressed';
export { writeCsv } from './csv/csv';
export { UnreadableFile, type FoundMusic, type NotKept } from './common/found';
export { writeJson } from './json/json';
export { writeMidi } from './midi/write';
export { writeMusicXml } from './exercise/write';
export { readFile, type ReadFile } from './readFile';
export { readScore } from './readScore';
export { writeScoreXml } from './musicxml/writeScoreXml';
export { warmUpScore } from './warmUp/score';
export { writeWarmUpMidi, type HeardSegment } from './warmUp/midi';
