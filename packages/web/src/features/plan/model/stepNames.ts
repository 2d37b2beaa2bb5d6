import type { Step } from '@wide-fern/client';
import { editInWords } from '@wide-fern/words';

export { editInWords };

/** What a step did, by its name. */
export const stepInWords = ({ facts }: Pick<Step, 'facts'>): string =>
  facts.length > 0 ? facts.map(editInWords).join('; ') : 'a change';
