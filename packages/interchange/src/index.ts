/** Files in open formats, read into exercises and written from them (docs/interchange.md). */
export { writeAbc } from './abc/write';
export { compress } from './container/compressed';
export { listColumns, writeCsv } from './csv/csv';
export { UnreadableFile, type FoundMusic, type NotKept } from './common/found';
export { writeJson } from './json/json';
export { writeMidi } from './midi/write';
export { writeMusicXml } from './musicxml/write';
export { largestFile, readable, readFile, tooLarge, type ReadFile } from './readFile';
export { largestScore, readableScores, readScore, scoreTooLarge } from './score/readScore';
export { writeScoreXml } from './score/write';
