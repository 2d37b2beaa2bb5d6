export function say(text: string): void;
export function showing<T>(what: string, work: () => Promise<T>): Promise<T>;
export class Trouble extends Error {}
export function endWith(error: unknown): void;
