import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import { endpointsFor, type Route as RouteOf } from '../http/endpoint';

/** Ties a handler to an endpoint of the contract. */
export const endpoint = endpointsFor<Account, Choir>();
export type Route = RouteOf<Account, Choir>;
