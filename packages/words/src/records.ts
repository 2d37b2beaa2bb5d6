import type { AuditRecord, Role } from '@wide-fern/contract';

/** What was done, in one sentence: «Ash Tarn took Wren Aldous out». */
export function recordInWords({ by, kind, about }: Pick<AuditRecord, 'by' | 'kind' | 'about'>) {
  const what = about === '' ? '' : ` ${about}`;
  switch (kind) {
    case 'signed-in':
      return `${by} signed in${what}`;
    case 'invited':
      return `${by} invited${what}`;
    case 'invitation-taken-back':
      return `${by} took the invitation${what} back`;
    case 'joined':
      return `${by} joined${what}`;
    case 'role-changed':
      return `${by} made${what}`;
    case 'removed':
      return `${by} took${what} out`;
    case 'brought-back':
      return `${by} brought${what} back`;
    case 'left':
      return `${by} left`;
    case 'exported':
      return `${by} downloaded${what}`;
    case 'deleted':
      return `${by} threw${what} away`;
    case 'settings-changed':
      return `${by} changed${what}`;
    case 'closing':
      return `${by} is throwing the choir away`;
    case 'brought-in':
      return `${by} brought the choir in from a file`;
    case 'kept':
      return `${by} kept the choir after all`;
  }
}

/** What each role may do, as a person is told. */
export const roleInWords: Readonly<Record<Role, string>> = {
  director: 'a director, who plans and decides who belongs',
  deputy: 'a deputy, who plans',
  reader: 'a reader, who looks',
};
