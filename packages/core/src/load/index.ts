export { doseOf, type Dose, type Phonation } from './dose';
export {
  loadOf,
  type LoadedSegment,
  type LoadWarning,
  type PartLoad,
  type PlanLoad,
  type SegmentLoad,
} from './plan';
