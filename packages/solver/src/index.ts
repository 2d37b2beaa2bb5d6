export { highsSolver, type HighsFiles } from './highs';
