/** What is said of a file a choir was given out in, and that cannot be read. */
export const choirFileWords = {
  notOne: 'This is no choir’s file. Choose the ZIP file that “everything in one file” gave.',
  damaged: 'This file is damaged or was cut off. Give the choir out once more.',
  newer: 'This file is of another version of the program. Bring it in with that one.',
  tooMuch: 'This file holds more than a choir may keep.',
  broken: (where: string) =>
    `This file was changed or is damaged (${where}), so nothing of it was taken. Give the choir out once more.`,
  tooMany: (most: number) => `You are director of ${most} choirs already. Leave one first.`,
} as const;
