/** Fetched when something is first heard. */
export { listeningOf } from '@wide-fern/plan';
