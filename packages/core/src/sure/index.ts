export { endSureness, type EndSureness, type UnsureLength } from './end';
export {
  presenceChance,
  presenceOf,
  sectionSureness,
  spreadOf,
  spreadOfLimits,
  type SectionSureness,
  type UnsureSinger,
} from './singers';
export { spanSureness, unsureKeys, worthSaying, type UnsureKey } from './plan';
