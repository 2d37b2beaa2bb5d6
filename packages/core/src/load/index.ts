export { doseOf, type Dose, type Phonation } from './dose';
export {
  loadOf,
  partLoads,
  type LoadedSegment,
  type LoadWarning,
  type PartLoad,
  type PlanLoad,
  type SegmentLoad,
} from './plan';
export {
  mindedTonight,
  remindersFor,
  type Minded,
  type MindedSegment,
  type Reminder,
} from './minding';
