/** More notes than this no choir score has. */
export const mostScoreNotes = 120_000;
