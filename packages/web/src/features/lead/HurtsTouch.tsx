import { WordButton } from '../../ui/words';

/** The one touch that stops everything; it waits for nothing. */
export const HurtsTouch = ({ onPain }: { readonly onPain: () => void }) => (
  <WordButton fontSize="20px" minH="44px" px="6px" color="sporeText" onClick={onPain}>
    it hurts somebody
  </WordButton>
);
