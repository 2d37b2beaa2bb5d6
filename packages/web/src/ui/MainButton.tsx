import { Button, type ButtonProps } from '@chakra-ui/react';

/** The one main act of a screen. */
export const MainButton = (props: ButtonProps) => (
  <Button
    bg="fern"
    color="onFern"
    borderRadius="3px"
    fontWeight={650}
    fontSize="15px"
    _hover={{ opacity: 0.92 }}
    {...props}
  />
);

/** Another act beside it. */
export const QuietButton = (props: ButtonProps) => (
  <Button
    bg="sheet"
    color="ink"
    borderWidth="1px"
    borderColor="inkSoft"
    borderRadius="3px"
    fontWeight={400}
    fontSize="15px"
    _hover={{ bg: 'sunk' }}
    {...props}
  />
);
