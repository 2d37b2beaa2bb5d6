/** What the staff of what is played under singers is called. */
export const instrumentName = 'Instrument';
