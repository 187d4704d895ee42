import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { keys } from '../api/queries';
import { settings } from './fixtures.test.helper';

/** The day that it is in the tests, on the maker’s machine. */
export const TODAY = '2026-05-04';

/** Renders something as it stands in the application, for a maker with the given units. */
export function rendered(
  what: ReactNode,
  unitSystem: 'INCH' | 'METRIC' = 'INCH',
  before: (client: QueryClient) => void = () => {},
  at?: { path: string; route: string },
) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(keys.settings, settings(unitSystem));
  client.setQueryData(keys.today, { today: TODAY });
  client.setQueryData(keys.materials, { items: [], page: 0, size: 500, total: 0 });
  before(client);
  const shown = render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[at?.path ?? '/']}>
        <Routes>
          <Route path={at?.route ?? '*'} element={what} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { ...shown, client };
}
