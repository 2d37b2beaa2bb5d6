export default async function setup(): Promise<void> {}
