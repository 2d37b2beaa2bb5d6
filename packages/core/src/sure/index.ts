export { endSureness, type EndSureness, type UnsureLength } from './end';
export {
  presenceOf,
  sectionSureness,
  spreadOf,
  type SectionSureness,
  type UnsureSinger,
} from './singers';
