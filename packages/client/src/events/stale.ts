import type { ChoirEvent } from '@wide-fern/contract';
import { keyOf } from '../queries';
import type { Stale } from './again';
import { wasTold } from './happened';

/** After a change of a run: where nothing but events came to it, only those, and only where they were not told. */
function afterRun(
  choir: string,
  { evening, item, run, events }: ChoirEvent,
  evenings: Stale,
): readonly Stale[] {
  if (evening === undefined || item === undefined) return [evenings];
  if (run !== undefined) {
    const queryKey = keyOf('showRunEvents', { choir, evening, item, run });
    return [{ queryKey, holds: (known) => wasTold({ events }, known) }];
  }
  return [
    { queryKey: keyOf('listRuns', { choir, evening, item }), exact: true },
    // Of every run of it.
    { queryKey: keyOf('showRunEvents', { choir, evening, item }).slice(0, -1) },
  ];
}

/** What of the server's state does not hold any more after a change of a choir. */
export function staleAfter(choir: string, event: ChoirEvent): readonly Stale[] {
  const { kind, evening, item, piece, exercise } = event;
  const evenings: Stale = { queryKey: keyOf('listEvenings', { choir }) };
  const list = { ...evenings, exact: true };
  const room: Stale = { queryKey: keyOf('showRoom', { choir }) };
  const pieces: Stale = { queryKey: keyOf('listPieces', { choir }), exact: true };
  switch (kind) {
    case 'choir':
      return [{ queryKey: keyOf('showChoir', { choir }) }];
    case 'members':
      return [
        { queryKey: keyOf('listMembers', { choir }) },
        { queryKey: keyOf('listInvitations', { choir }) },
        { queryKey: keyOf('showSession'), exact: true },
      ];
    case 'templates':
      return [
        { queryKey: keyOf('listTemplates', { choir }) },
        { queryKey: keyOf('listKeptPlans', { choir }) },
      ];
    case 'evenings':
      return [evenings, pieces, room];
    case 'evening':
      return evening === undefined
        ? [evenings, room]
        : [list, room, { queryKey: keyOf('showEvening', { choir, evening }), exact: true }, pieces];
    // The sections of an evening rest on who is here.
    case 'presence':
      return evening === undefined
        ? [evenings]
        : [
            { queryKey: keyOf('showEvening', { choir, evening }), exact: true },
            { queryKey: keyOf('showPresence', { choir, evening }) },
            { queryKey: keyOf('showSureness', { choir, evening }) },
          ];
    case 'plan':
      return evening === undefined || item === undefined
        ? [evenings]
        : [
            { queryKey: keyOf('showPlan', { choir, evening, item }) },
            // When each exercise was last used.
            { queryKey: keyOf('showExercises', { choir }), exact: true },
          ];
    case 'run':
      return afterRun(choir, event, evenings);
    case 'led':
      return [
        { queryKey: keyOf('listLedOnce', { choir }) },
        { queryKey: keyOf('showLogbook', { choir }) },
      ];
    case 'exercises':
      return [
        { queryKey: keyOf('showExercises', { choir }), exact: true },
        ...(exercise === undefined
          ? []
          : [{ queryKey: keyOf('listExerciseVersions', { choir, exercise }) }]),
      ];
    // What an evening asks rests on its pieces.
    case 'pieces':
      return [{ queryKey: keyOf('listPieces', { choir }) }, evenings, room];
    case 'piece':
      return [
        pieces,
        { queryKey: keyOf('listAwaited', { choir }) },
        room,
        ...(piece === undefined ? [] : [{ queryKey: keyOf('showPiece', { choir, piece }) }]),
        evenings,
      ];
    // Sections rest on singers and parts, and evenings on sections.
    case 'voices':
    case 'singers':
      return [
        { queryKey: keyOf('showVoices', { choir }) },
        { queryKey: keyOf('listSingers', { choir }) },
        evenings,
        room,
      ];
  }
}
