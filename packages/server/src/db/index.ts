export { ormConfig } from './orm.config';
