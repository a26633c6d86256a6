import { type DefaultOptions, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';

/**
 * What an island has asked for, kept as long as the island is there. The server draws islands too: what one request
 * was answered must not be shown in the next, so this is never kept by a module. `options` are taken at the first
 * drawing.
 */
export function Queries({
  options,
  children,
}: {
  options?: NonNullable<DefaultOptions['queries']>;
  children: ReactNode;
}) {
  const [client] = useState(() => new QueryClient(options ? { defaultOptions: { queries: options } } : {}));
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}
