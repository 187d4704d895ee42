import { scale, ticks } from '../../ui/scale';
import { coins, marks, nearest, type Point, type Sheet } from './curve';

const money = (minor: number) => ({ amount: (minor / 100).toFixed(2), minor });
const point = (minor: number) => ({ price: money(minor) }) as Point;

describe('the curve of prices', () => {
  it('finds the nearest price that there is a figure for', () => {
    const curve = [0, 50, 100, 117].map(point);
    expect(nearest(curve, 0)).toBe(0);
    expect(nearest(curve, 76)).toBe(2);
    expect(nearest(curve, 109)).toBe(3);
    expect(nearest(curve, 9999)).toBe(3);
  });

  it('marks the prices that mean something, two of one figure together', () => {
    const sheet = {
      curve: [point(0), point(3000)],
      breakEven: money(820),
      atLeast: money(1060),
      atWanted: money(1061),
      own: money(1700),
      seen: [{ what: 'a pouch', where: 'fair', price: money(1700) }],
    } as Sheet;
    expect(marks(sheet).map((mark) => [mark.minor, mark.look, mark.names.join(' + ')])).toEqual([
      [820, 'even', 'nothing lost'],
      [1060, 'least', 'your least + worth it'],
      [1700, 'own', 'set'],
      [1700, 'seen', 'a pouch, fair'],
    ]);
    expect(marks({ curve: [] as Point[], seen: [] as Sheet['seen'] } as Sheet)).toEqual([]);
  });

  it('knows by how an amount is written how many coins there are', () => {
    expect(coins({ amount: '12.50', minor: 1250 })).toBe(100);
    expect(coins({ amount: '1,250', minor: 1250 })).toBe(1000);
    expect(coins({ amount: '1250', minor: 1250 })).toBe(1);
  });

  it('goes from figures to places and back', () => {
    const x = scale(0, 2000, 40, 640);
    expect(x.at(1000)).toBe(340);
    expect(x.back(340)).toBe(1000);
    expect(scale(5, 5, 0, 10).at(5)).toBe(0);
  });

  it('writes round figures beside an axis', () => {
    expect(ticks(0, 3400, 8)).toEqual([0, 500, 1000, 1500, 2000, 2500, 3000]);
    expect(ticks(-2100, 4000, 5)).toEqual([-2000, 0, 2000, 4000]);
  });
});
