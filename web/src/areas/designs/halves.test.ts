import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { halfOf, wholeOf } from './halves';

const flap: Schemas['DrawnRow'] = {
  mirrored: true,
  line: 'CUT',
  tips: 'MITRED',
  tallerAt: '',
  tallerBy: '',
  points: [
    { across: '4 in', down: '0 in', curved: false, corner: false, side: 'TOP' },
    { across: '4 in', down: '3 in', curved: false, corner: false, side: 'RIGHT' },
    { across: '0 in', down: '7 in', curved: true, corner: false, side: 'BOTTOM' },
  ],
};

describe('an outline and its halves', () => {
  it('becomes whole with its mirror image on the way back', () => {
    const whole = wholeOf(flap);
    expect(whole.mirrored).toBe(false);
    expect(whole.points).toEqual([
      { across: 'piece_width / 2 + (4 in)', down: '0 in', curved: false, corner: false, side: 'TOP' },
      { across: 'piece_width / 2 + (4 in)', down: '3 in', curved: false, corner: false, side: 'RIGHT' },
      { across: 'piece_width / 2 + (0 in)', down: '7 in', curved: true, corner: false, side: 'BOTTOM' },
      { across: 'piece_width / 2 - (4 in)', down: '3 in', curved: true, corner: false, side: 'BOTTOM' },
      { across: 'piece_width / 2 - (4 in)', down: '0 in', curved: false, corner: false, side: 'LEFT' },
    ]);
  });

  it('is measured from its own middle where it is drawn where it is sewn', () => {
    expect(wholeOf({ ...flap, line: 'SEWN' }).points.map((point) => point.across)).toEqual([
      '4 in',
      '4 in',
      '0 in',
      '- (4 in)',
      '- (4 in)',
    ]);
  });

  it('keeps the points of its right half', () => {
    const half = halfOf(
      { ...flap, mirrored: false },
      [
        { x: 203.2, y: 0, fromX: 0, fromY: 0 },
        { x: 0, y: 0, fromX: 0, fromY: 0 },
        { x: 101.6, y: 170, fromX: 0, fromY: 0 },
      ],
      203.2,
      true,
    );
    expect(half.points.map((point) => point.across)).toEqual(['4 in', '0 in']);
    expect(half.mirrored).toBe(true);
  });
});
