import { fireEvent, render } from '@testing-library/react';
import type { Schemas } from '../api/client';
import { BagLook } from './BagLook';

const picture: Schemas['PictureView'] = {
  width: 100,
  height: 80,
  parts: [{ look: 'EDGE', path: 'M0 0H100', slot: '', frame: [1, 0, 0, 1, 0, 0], stroke: 0, shade: 0 }],
  cloths: [],
};

describe('how a bag looks', () => {
  it('shows the photo in the place of the drawing', () => {
    const { container } = render(<BagLook picture={picture} photo="/photos/7" across={54} up={46} />);
    expect(container.querySelector('img')).toHaveAttribute('src', '/photos/7');
    expect(container.querySelector('svg')).toBeNull();
  });

  it('draws the bag while its photo can’t be read, and tries again with another', () => {
    const { container, rerender } = render(
      <BagLook picture={picture} photo="/photos/7" across={54} up={46} />,
    );
    fireEvent.error(container.querySelector('img') as HTMLImageElement);
    expect(container.querySelector('svg')).not.toBeNull();
    rerender(<BagLook picture={picture} photo="/photos/8" across={54} up={46} />);
    expect(container.querySelector('img')).toHaveAttribute('src', '/photos/8');
  });

  it('draws the bag without a photo, and nothing without either', () => {
    const { container, rerender } = render(
      <BagLook picture={picture} photo={undefined} across={54} up={46} />,
    );
    expect(container.querySelector('svg')).toHaveAttribute('viewBox', '0 0 100 80');
    rerender(<BagLook picture={undefined} photo={undefined} across={54} up={46} />);
    expect(container).toBeEmptyDOMElement();
  });
});
