/** More notes than this no choir score has. */
export const mostScoreNotes = 80_000;
