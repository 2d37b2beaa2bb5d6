/** An id made of a name: small letters, figures, hyphens; never empty. */
export const idFromName = (name: string): string =>
  name
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 60)
    .replace(/^-+|-+$/g, '') || 'exercise';
