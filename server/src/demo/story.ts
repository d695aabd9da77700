import {
  completed,
  foldJob,
  nextStop,
  nextUp,
  samePose,
  splitKey,
  TEST_STOP,
  versionOf,
  type Bodies,
  type Entry,
  type EntryKind,
  type JobState,
} from '@iron-cradle/core';

/** Writes a demo job's log by the plan's own stops, so that what is shown is what the core would say. */
export class Story {
  /** Its log so far. */
  entries: Entry[] = [];
  /** What follows from it. */
  state!: JobState;
  private time: number;
  private device = 'shop-tablet';
  private held: string | null = null;

  constructor(
    readonly jobId: string,
    start: Date,
    private by = 'ines',
  ) {
    this.time = start.getTime();
  }

  /** One entry more, some minutes later. */
  log<K extends EntryKind>(kind: K, body: Bodies[K], minutes = 3): this {
    this.time += minutes * 60_000;
    const place = this.entries.length + 1;
    const entry = {
      id: `${this.jobId}-${String(place).padStart(3, '0')}`,
      jobId: this.jobId,
      version: versionOf(kind),
      kind,
      body: completed(this.state ?? null, kind, body),
      by: this.by,
      device: this.device,
      n: place,
      at: new Date(this.time).toISOString(),
      on: this.held,
    } as unknown as Entry;
    this.entries.push(entry);
    const state = foldJob(this.state ?? null, [entry]);
    if (!state) throw new Error(`${this.jobId} was never opened.`);
    this.state = state;
    return this;
  }

  /** Somebody else goes on. */
  as(person: string): this {
    this.by = person;
    return this;
  }

  /** Somebody goes on at another device, which was out of the network since it held this entry. */
  away(person: string, device: string, held: string): this {
    Object.assign(this, { by: person, device, held });
    return this;
  }

  /** A gate, its items answered, and passed. */
  gate(gate: 1 | 2 | 3 | 4, answers: Record<string, string>): this {
    for (const [item, answer] of Object.entries(answers)) this.log('gateItem', { gate, item, answer }, 1);
    return this.log('gate', { gate }, 1);
  }

  /** Made safe: pressure out, gate 1. */
  safe(): this {
    this.log('pressure', { reading: 4 }, 6);
    return this.gate(1, { air: 'yes', heat: 'yes', support: 'yes', hands: 'yes' });
  }

  /** Drained into these cans, litres each; gate 2. */
  drainTo(cans: number[], clean = true): this {
    cans.forEach((litres, i) => this.log('container', { number: i + 1, capacity: 20, litres, clean }, 9));
    this.log('fuelWitness', { witness: 'ranDry' }, 2).log('fuelWitness', { witness: 'dip', reading: 12 }, 2);
    return this.gate(2, { battery: 'yes', jack: 'yes', helper: 'here' });
  }

  /** Goes down by the plan until `most` stops were made or it is out. */
  down(most = 40): this {
    for (let i = 0; i < most && !this.state.out; i++) {
      const stop = nextStop(this.state);
      if (stop.kind === 'held') return this;
      const body = {
        to: stop.pose,
        off: stop.actions.map((a) => ({ key: a.key, ...(a.way ? { way: a.way } : {}) })),
        capped: stop.actions.filter((a) => a.cap).map((a) => a.key),
        look: { asked: true, tight: [], nearly: [], allFist: false, reachable: [] },
        notDone: [],
      };
      this.log(stop.kind === 'creep' ? 'crept' : 'stopDone', body, 6);
    }
    return this;
  }

  /** Comes up by the plan, everything singly, through gate 4. */
  up(): this {
    for (let i = 0; i < 60; i++) {
      const stop = nextUp(this.state);
      if (!samePose(this.state.pose, stop.pose)) this.log('moved', { to: stop.pose, why: 'raised' }, 2);
      for (const item of stop.items)
        this.log(
          splitKey(item.key).kind === 'line' ? 'made' : 'restored',
          { key: item.key, ...(item.way ? { way: item.way } : {}) },
          3,
        );
      if (stop.kind === 'test' && !this.state.gates[4].passed)
        this.gate(4, { wiped: 'yes', battery: 'yes', under: 'yes' });
      else if (stop.kind === 'test')
        this.log('keyOn', { where: 'test stop', primed: 'pump' }, 1)
          .log(
            'finding',
            { what: TEST_STOP, where: 'top of the tank', verdict: 'good', note: 'gauge moves, joints dry' },
            4,
          )
          .log('keyOff', {}, 1);
      if (stop.kind === 'home') return this;
    }
    return this;
  }
}
