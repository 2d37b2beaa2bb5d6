export { doseOf, type Dose, type Phonation } from './dose';
