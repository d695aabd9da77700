import { commonPractice, fromMemory } from '../basis/index.ts';
import { WATER_HELD, type FuelKind } from '../fluid/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** How a sample in glass looks. */
export type SampleLook = 'clear' | 'haze' | 'water' | 'sediment' | 'crystals' | 'varnish' | 'slime';

/** Every look, as people call it, and what shows. */
export const sampleLooks: readonly { id: SampleLook; name: string; shows: string }[] = [
  { id: 'clear', name: 'Clear', shows: 'as the clean one beside it' },
  { id: 'haze', name: 'Hazy', shows: 'cannot be read through' },
  { id: 'water', name: 'Water layer', shows: 'a line at the foot that moves as one' },
  { id: 'sediment', name: 'Sediment', shows: 'grains or rust at the foot' },
  { id: 'crystals', name: 'Crystals', shows: 'bright grains that do not melt away' },
  { id: 'varnish', name: 'Varnish smell', shows: 'brown, and it smells of old paint' },
  { id: 'slime', name: 'Dark slime', shows: 'threads or skin where water meets fuel' },
];

/** How long a sample stands before it is judged, min; common practice, no source. */
export const SAMPLE_STANDS = 10;

interface Sample {
  decide: 'return' | 'filter' | 'dispose';
  /** How it looks, and how far that goes: what it is stays unproven without a laboratory. */
  verdict: Verdict;
  /** What it means for the tank, the filter and the pump. */
  means: { tank: string; filter: string; pump: string };
}

const nothing = { tank: 'nothing from this', filter: 'as due', pump: 'nothing from this' };

/**
 * A sample in glass beside a clean one, sealed and dated: return, filter or dispose, and what it means for what it touched.
 * Common practice, no source. Never by taste.
 *
 * @example judgeSample('water', 'petrol').decide // 'dispose'
 */
export function judgeSample(look: SampleLook, fuel: FuelKind): Sample {
  const say = (
    outcome: Verdict['outcome'],
    {
      decide,
      text,
      next,
      means,
      more = [],
    }: { decide: Sample['decide']; text: string; next: string; means: Sample['means']; more?: Verdict['reasons'] },
  ): Sample => ({
    decide,
    means,
    verdict: {
      outcome,
      reasons: [
        { text, basis: commonPractice },
        ...more,
        ...(look === 'clear'
          ? []
          : [{ text: 'what it is stays not proven without a laboratory', basis: commonPractice }]),
      ],
      next: [next],
    },
  });
  switch (look) {
    case 'clear':
      return say('good', {
        decide: 'return',
        text: 'clear, as the clean one beside it',
        next: 'it may go back through a clean funnel',
        means: nothing,
      });
    case 'haze':
      return say('doubtful', {
        decide: 'filter',
        text: 'hazy: fine water or cold wax',
        next:
          fuel === 'diesel'
            ? 'warm it to room temperature and look again'
            : 'let it stand warm and look again; then filter or dispose of it',
        means: {
          ...nothing,
          filter: 'change it',
        },
      });
    case 'water':
      return say('bad', {
        decide: 'dispose',
        text: 'water under the fuel',
        next: 'do not put it back; look into the tank, cut the filter open',
        means: {
          tank: 'look for rust and where the water came in',
          filter: 'cut it open, change it',
          pump: 'run it in clean fuel before it goes back',
        },
        more:
          fuel === 'petrol' || fuel === 'e85'
            ? [
                {
                  text: `E10 takes about ${WATER_HELD * 100} % of water before it separates`,
                  basis: fromMemory('handbooks of ethanol blends'),
                },
              ]
            : [],
      });
    case 'sediment':
      return say('bad', {
        decide: 'filter',
        text: 'grains at the foot',
        next: 'filter it, look into the tank and at the strainer',
        means: {
          tank: 'rinse and look: rust, flakes, sand',
          filter: 'cut it open: dirty at the inlet, clean at the outlet, it did its job',
          pump: 'strainer off and looked at',
        },
      });
    case 'crystals':
      return say('bad', {
        decide: 'dispose',
        text: 'crystals: something was put in',
        next: 'keep the sample sealed and dated; the owner and perhaps others want to know',
        means: {
          tank: 'washed and dried before anything goes back',
          filter: 'change it, keep the old one',
          pump: 'opened or replaced',
        },
      });
    case 'varnish':
      return say('bad', {
        decide: 'dispose',
        text: 'old fuel: it has begun to gum',
        next: 'dispose of it; clean sender, strainer and injectors’ rail',
        means: {
          tank: 'chemical clean or wash',
          filter: 'change it',
          pump: 'may stick: run it in clean fuel',
        },
      });
    case 'slime':
      return say('bad', {
        decide: 'dispose',
        text: 'dark slime: it lives where water stands',
        next: 'dispose of it; wash the tank, treat, and find the water',
        means: {
          tank: 'wash until clear, dry, look under pads',
          filter: 'change it now and once more after the first tankful',
          pump: 'screens off and looked at',
        },
      });
  }
}
