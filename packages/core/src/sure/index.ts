export { endSureness, type EndSureness, type UnsureLength } from './end';
export {
  comfortableChance,
  presenceOf,
  sectionSureness,
  spreadOf,
  type SectionSureness,
  type UnsureSinger,
} from './singers';
