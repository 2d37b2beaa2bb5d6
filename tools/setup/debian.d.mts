export function installDebian(packages: readonly string[], what: string): Promise<void>;
export function installPostgres(): Promise<void>;
