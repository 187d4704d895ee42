import { render, screen } from '@testing-library/react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { expect, it } from 'vitest';
import { Numbered } from './Numbered';

function opened(address: string) {
  render(
    <MemoryRouter initialEntries={[address]}>
      <Routes>
        <Route element={<Numbered />}>
          <Route path="/stalls/:id" element={<p>a fair</p>} />
        </Route>
      </Routes>
    </MemoryRouter>,
  );
}

it('shows what has the number', () => {
  opened('/stalls/12');
  expect(screen.getByText('a fair')).toBeInTheDocument();
});

it.each([
  '/stalls/finished-bags',
  '/stalls/NaN',
  '/stalls/1e3',
  '/stalls/-1',
  '/stalls/1234567890123456',
  '/stalls/%C3%A7',
])('says of %s that it leads nowhere', (address) => {
  opened(address);
  expect(screen.getByText('There is no such page. The places are on the left.')).toBeInTheDocument();
  expect(screen.queryByText('a fair')).not.toBeInTheDocument();
});
