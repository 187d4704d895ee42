import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import { PhotosPart } from './PhotosPart';

const inDots = { id: 8, clothId: 2, cloth: 'Dots {ç}', address: '/api/designs/4/photos/8' };
const whatever = { id: 9, cloth: '', address: '/api/designs/4/photos/9' };

const shown = (photos: Schemas['DesignPhotoView'][]) => {
  const sent: string[] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string, options?: RequestInit) => {
      sent.push(`${options?.method ?? 'GET'} ${path}`);
      const answer = path.includes('/photos') ? photos : { items: [], page: 0, size: 500, total: 0 };
      return new Response(JSON.stringify(answer), { headers: { 'Content-Type': 'application/json' } });
    }),
  );
  rendered(<PhotosPart designId={4} name="Owl" />);
  return sent;
};

afterEach(() => vi.unstubAllGlobals());

describe('photos of a design', () => {
  it('shows one in each cloth, and adds one in whatever cloth', async () => {
    const sent = shown([inDots]);
    expect(await screen.findByRole('img', { name: 'Owl in Dots {ç}' })).toBeVisible();
    const photo = new File(['x'], 'owl.png', { type: 'image/png' });
    await userEvent.upload(screen.getByLabelText('Add a photo'), photo);
    await waitFor(() => expect(sent).toContain('PUT /api/designs/4/photos'));
  });

  it('takes away the one that is in whatever cloth', async () => {
    const sent = shown([inDots, whatever]);
    expect(await screen.findByRole('img', { name: 'Owl' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Take the photo away' }));
    await waitFor(() => expect(sent).toContain('DELETE /api/designs/4/photos/9'));
  });
});
