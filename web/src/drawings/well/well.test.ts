import { chords, marksAhead } from '@iron-cradle/core';
import { ahead as lookAhead } from '@iron-cradle/core/foresight';
import { seeds, some } from '../testing.ts';
import { layoutWell, spread } from './layout.ts';

describe('the well', () => {
  test.each(seeds)('vehicle %d: a chord from where it came off to where it must be back', (seed) => {
    const state = some(seed);
    const list = chords(state);
    const at = layoutWell({
      chords: list,
      here: state.pose.f,
      clear: state.vehicle.clear,
      ahead: marksAhead(lookAhead(state).walk),
      width: 240,
      height: 560,
    });
    const perMm = (at.y(40) - at.y(0)) / 40;
    for (const drawn of at.chords) {
      const same = list.filter((c) => c.from === drawn.chord.from && c.by === drawn.chord.by).length;
      expect(drawn.y1 - at.y(0)).toBeGreaterThanOrEqual(drawn.chord.from * perMm - 1e-6);
      expect(drawn.y1 - at.y(0) - drawn.chord.from * perMm).toBeLessThanOrEqual(same * 5);
      expect(drawn.y2 - drawn.y1).toBeCloseTo((drawn.chord.by - drawn.chord.from) * perMm, 6);
    }
    expect(at.y(state.vehicle.clear)).toBe(at.floor);
    const labels = at.chords.map((c) => c.labelY).sort((x, y) => x - y);
    labels.slice(1).forEach((y, i) => expect(y - labels[i]!).toBeGreaterThanOrEqual(26.9));
  });

  test.each(seeds)('vehicle %d: nothing that lies ahead is written over something else, down and at home', (seed) => {
    const state = some(seed);
    for (const here of [state.pose.f, 0]) {
      const ahead = [{ drop: here, names: [] }, ...marksAhead(lookAhead(state).walk)];
      const at = layoutWell({ chords: [], here, clear: state.vehicle.clear, ahead, width: 240, height: 560 });
      const words = at.ahead.map((mark) => mark.labelY).sort((x, y) => x - y);
      // A line of type of 14 px.
      words.slice(1).forEach((y, i) => expect(y - words[i]!).toBeGreaterThanOrEqual(14));
    }
  });

  test('labels are moved apart in order and stay inside', () => {
    expect(spread([10, 12, 100], { step: 20, least: 0, most: 110 })).toEqual([10, 30, 100]);
    expect(spread([100, 100, 100], { step: 20, least: 0, most: 110 })).toEqual([70, 90, 110]);
  });
});
