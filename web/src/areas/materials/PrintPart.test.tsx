import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { PrintPart } from './PrintPart';

const print: Schemas['PrintView'] = {
  version: 3,
  repeat: '16',
  repeatAcross: '12',
  colour: '#336699',
  print: 'DOTS',
  frame: { left: 0, top: 0, right: 1, bottom: 1 },
  widthMm: 304.8,
  heightMm: 406.4,
  motifs: [{ name: 'fox {ç}', across: '6', down: '5', acrossShare: 0.5, downShare: 0.3125 }],
};

const PATH = '/api/materials/7/print';

function shown(more: Partial<typeof print> = {}) {
  const sent = server({
    [PATH]: { ...print, ...more },
    [`${PATH}/place`]: { across: '3', down: '4 1/2' },
  });
  rendered(<PrintPart materialId={7} />);
  return sent;
}

/** Points at a share of the picture, which is 100 by 200 here. */
function pointAt(x: number, y: number) {
  const picture = document.querySelector('[data-part=repeat]') as HTMLElement;
  vi.spyOn(picture, 'getBoundingClientRect').mockReturnValue({
    left: 10,
    top: 20,
    width: 100,
    height: 200,
  } as DOMRect);
  fireEvent.pointerDown(picture, { clientX: 10 + 100 * x, clientY: 20 + 200 * y });
}

afterEach(() => vi.unstubAllGlobals());

describe('parts of a print', () => {
  it('says what is marked, key by key, and keeps it', async () => {
    const sent = shown();
    const name = await screen.findByLabelText('Its name');
    expect(name).toHaveValue('fox {ç}');
    await userEvent.click(screen.getByRole('button', { name: 'Add a part' }));
    const second = screen.getAllByLabelText('Its name')[1] as HTMLElement;
    await userEvent.type(second, 'owll{Backspace}');
    await userEvent.tab();
    await userEvent.tab();
    await userEvent.keyboard('2 1/4');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent.some((one) => one.body)).toBe(true));
    expect(sent.find((one) => one.body)).toEqual({
      path: PATH,
      body: {
        version: 3,
        repeatAcross: '12',
        frame: print.frame,
        motifs: [
          { name: 'fox {ç}', across: '6', down: '5' },
          { name: 'owl', across: '', down: '2 1/4' },
        ],
      },
    });
  });

  it('asks where in the repeat a point is', async () => {
    const sent = shown();
    await screen.findByLabelText('Its name');
    pointAt(0.25, 0.75);
    await waitFor(() => expect(screen.getByLabelText('From the top')).toHaveValue('4 1/2'));
    expect(screen.getByLabelText('From the left')).toHaveValue('3');
    expect(sent.at(-1)).toEqual({
      path: `${PATH}/place`,
      body: { repeatAcross: '12', frame: print.frame, x: 0.25, y: 0.75 },
    });
  });

  it('takes two corners of a repeat on the photo', async () => {
    const sent = shown({ photo: '/api/materials/7/photo' });
    await userEvent.click(await screen.findByRole('button', { name: /one repeat is on the photo/ }));
    expect(screen.getByRole('status')).toHaveTextContent('upper left corner');
    pointAt(0.1, 0.2);
    expect(screen.getByRole('status')).toHaveTextContent('lower right corner');
    pointAt(0.9, 0.8);
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent.some((one) => one.body)).toBe(true));
    expect(sent.find((one) => one.body)?.body).toMatchObject({
      frame: { left: 0.1, top: 0.2, right: 0.9, bottom: 0.8 },
    });
  });

  it('says what is missing where nobody said what the print comes again after', async () => {
    shown({ repeat: undefined, motifs: [] });
    expect(await screen.findByText(/Say first after which height/)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull();
  });

  it('keeps what was typed when it is refused, and says why at the field', async () => {
    shown();
    const down = await screen.findByLabelText('From the top');
    await userEvent.clear(down);
    await userEvent.type(down, '20');
    const errors = [{ field: 'motifs.0.down', read: '20', sentence: '“20” isn’t within the repeat.' }];
    vi.stubGlobal(
      'fetch',
      vi.fn(
        async () =>
          new Response(JSON.stringify({ detail: '', errors }), {
            status: 422,
            headers: { 'Content-Type': 'application/json' },
          }),
      ),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/isn’t within the repeat/)).toBeVisible();
    expect(down).toHaveValue('20');
  });
});
