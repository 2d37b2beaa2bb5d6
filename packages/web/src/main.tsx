import { ChakraProvider } from '@chakra-ui/react';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { keepReadable, queryClient } from '@wide-fern/client';
import { router } from './app/router';
import { followLight } from './here/theme';
import './ui/fonts.css';
import './ui/print.css';
import { system } from './ui/system';

followLight();
// Not while it is developed: what is kept would stand in the way.
if (import.meta.env.PROD) void keepReadable();
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <QueryClientProvider client={queryClient}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
