import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Name, WordButton } from '../../../ui/words';

/** The heading of a panel and the word that closes it. */
export function PanelHead({
  title,
  onClose,
  close = 'close',
}: {
  readonly title: ReactNode;
  readonly onClose?: () => void;
  readonly close?: string;
}) {
  return (
    <Flex justify="space-between" align="baseline" gap="8px" mb="8px">
      <Name as="h2" fontSize="24px">
        {title}
      </Name>
      {onClose && (
        <WordButton fontSize="13px" onClick={onClose}>
          {close}
        </WordButton>
      )}
    </Flex>
  );
}
