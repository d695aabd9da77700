import { contradict, roundTo, type Estimate } from '../estimate/index.ts';
import { shapeLitres } from '../shape/index.ts';
import { witnessLitres } from '../tank/index.ts';
import { chooses, say, type QuickTest } from './judged.ts';

/** No level sender of any family reads more, Ω: 990 at its empty stop, and a tenth; from memory and common practice. */
const MOST_OHMS = 1_090;
/** Litres known worse than this share of the tank prove no point of a sender; common practice, no source. */
const KNOWN_WELL = 0.4;

/**
 * The ohms of a level sender at its plug, with the litres aboard: one value proves one point. Without the file's figures
 * families overlap and a value names none.
 */
export const sender: QuickTest = {
  id: 'senderOhms',
  name: 'sender ohms at the plug',
  minutes: 5,
  how: 'plug off, meter across the sender; “open” when it shows nothing',
  reads: { dimension: 'resistance', unit: 'Ω', open: true },
  judge: (value, { vehicle, aboard }) => {
    if (value === 'open')
      return say('bad', 'tank', {
        text: 'the sender is open where the float stands',
        next: ['look at plug and ground once more, then the tank comes out'],
        figure: 'open',
      });
    const ohms = Number(value);
    const figure = `${roundTo(ohms, 0.1)} Ω`;
    const file = vehicle.sender;
    if (!file && ohms > MOST_OHMS)
      return say('bad', 'tank', { text: 'more than any level sender gives', figure, limit: `${MOST_OHMS} Ω` });
    if (!file)
      return say('unknown', 'nowhere', {
        text: 'families of senders overlap, and the file has no figure: one value names none',
        next: ['read the litres another way, put in ten, read again: does it move?'],
        figure,
      });
    const [lo, hi] = [Math.min(file.emptyOhms.lo, file.fullOhms.lo), Math.max(file.emptyOhms.hi, file.fullOhms.hi)];
    const limit = `${lo}–${hi} Ω`;
    if (ohms < lo * 0.9 || ohms > hi * 1.1)
      return say('bad', 'tank', { text: 'outside what this sender can give', figure, limit });
    const capacity = shapeLitres(vehicle.tank.shape);
    if (!aboard || aboard.hi - aboard.lo > capacity * KNOWN_WELL)
      return say('unknown', 'nowhere', {
        text: 'within what this sender gives, but whether it is right here nobody can say without the litres',
        next: ['dip it or count a fill, then read it again'],
        figure,
        limit,
      });
    const told = witnessLitres(vehicle, 'ohms', Math.min(hi, Math.max(lo, ohms)));
    const words = (l: Estimate) => `${roundTo(l.lo, 1)} to ${roundTo(l.hi, 1)} L`;
    if (contradict(told, aboard))
      return say('bad', 'tank', {
        text: `it reads as ${words(told)}, and ${words(aboard)} are aboard`,
        next: ['ohms right and needle wrong would be wire or gauge; here the ohms are wrong'],
        figure,
        limit,
      });
    return say('doubtful', 'nowhere', {
      text: `right at this level, ${words(aboard)}: that proves this one point`,
      next: ['ground the plug: does the needle move?', 'put in ten litres and read it again'],
      figure,
      limit,
    });
  },
};

/** Whether gauge and wire work, without the sender. */
export const needle = chooses('needle', {
  name: 'needle moves when the plug is grounded',
  minutes: 3,
  how: 'plug off, sender wire to ground, key on, for a moment',
  yes: ['It moves', say('good', 'tank', { text: 'gauge and wire work' })],
  no: [
    'It does not',
    say('bad', 'elsewhere', { text: 'gauge or wire does not work', next: ['follow the wire to the gauge'] }),
  ],
});
