import { jest } from '@jest/globals';
import { holdersAt, bindings, archetypes, foldJob, type Holder, type Verdict } from '@iron-cradle/core';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { PaintedEnds } from '../drawings/ends/PaintedEnds.tsx';
import { Ladder } from '../drawings/ladder/Ladder.tsx';
import { MinutesBar } from '../drawings/minutes/MinutesBar.tsx';
import { Wire } from '../drawings/wire/Wire.tsx';
import { Strap } from '../look/Strap.tsx';
import { logOf, Surroundings } from '../testing/atJob.tsx';
import { Choice } from './Choice.tsx';
import { PickMany } from './PickMany.tsx';
import { VerdictView } from './VerdictView.tsx';

describe('a judgement', () => {
  const verdict: Verdict = {
    outcome: 'bad',
    reasons: [{ text: 'vapour line weeps', figure: '3 drops', limit: 'dry', basis: { kind: 'measured' } }],
    next: ['wipe it and look again', 'call the lead'],
  };

  test('has its shape with its word, its reasons with figure and limit, and the first thing to do', () => {
    render(<VerdictView verdict={verdict} />, { wrapper: Surroundings });
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/halt|bad/);
    expect(screen.getByText(/3 drops/)).toBeTruthy();
    expect(screen.getByText(/against dry/)).toBeTruthy();
    expect(screen.getByText('Next: wipe it and look again.')).toBeTruthy();
    expect(screen.queryByText(/call the lead/)).toBeNull();
  });

  test('is asked why, and says where each figure comes from', () => {
    render(<VerdictView verdict={verdict} />, { wrapper: Surroundings });
    expect(screen.getByText(/vapour line weeps: measured/)).toBeTruthy();
  });

  test('compact it keeps shape and reasons', () => {
    render(<VerdictView verdict={verdict} compact />, { wrapper: Surroundings });
    expect(screen.getByText(/vapour line weeps/)).toBeTruthy();
    expect(screen.queryByText('why')).toBeNull();
  });

  test.each(['good', 'doubtful', 'bad', 'unknown'] as const)('%s has a shape of its own', (outcome) => {
    const { container } = render(<VerdictView verdict={{ ...verdict, outcome }} />, { wrapper: Surroundings });
    const svg = container.querySelector('svg')!;
    const shape = svg.querySelector('circle')
      ? `circle ${svg.querySelector('circle')!.getAttribute('fill')}`
      : svg.querySelector('path')!.getAttribute('d')!;
    const others = (['good', 'doubtful', 'bad', 'unknown'] as const).filter((o) => o !== outcome);
    for (const other of others) {
      const { container: c } = render(<VerdictView verdict={{ ...verdict, outcome: other }} />, {
        wrapper: Surroundings,
      });
      const s = c.querySelector('svg')!;
      const that = s.querySelector('circle')
        ? `circle ${s.querySelector('circle')!.getAttribute('fill')}`
        : s.querySelector('path')!.getAttribute('d')!;
      expect(that).not.toBe(shape);
    }
  });
});

describe('the strap', () => {
  test('that waits says why and does nothing', async () => {
    const press = jest.fn();
    const { rerender } = render(
      <Strap onClick={press} waitsFor="wait for the lead">
        Sign
      </Strap>,
    );
    const strap = screen.getByRole('button');
    expect(strap.textContent).toContain('wait for the lead');
    expect(strap.getAttribute('aria-disabled')).toBe('true');
    await userEvent.setup().click(strap);
    expect(press).not.toHaveBeenCalled();
    rerender(<Strap onClick={press}>Sign</Strap>);
    await userEvent.setup().click(strap);
    expect(press).toHaveBeenCalledTimes(1);
  });
});

describe('room left, as a ladder', () => {
  const state = foldJob(null, logOf([{ kind: 'moved', body: { to: { f: 25, r: 25 } } }]))!;
  const holders = holdersAt(bindings(state), state.pose, state.vehicle.length);
  const rows = () => within(screen.getByRole('list')).getAllByRole('listitem');

  test('shortest first, the first one named as what holds it', () => {
    render(<Ladder holders={holders} units="metric" seen={{}} />);
    expect(rows()).toHaveLength(holders.length);
    expect(rows()[0]!.textContent).toContain('holds it');
    const least = rows().map((row) => parseInt(/(\d+)(?:–\d+|\+)?$/.exec(row.textContent!)![0]!, 10));
    expect(least).toEqual([...least].sort((a, b) => a - b));
  });

  test('only lines can be said to look tight; what is in the way can’t', async () => {
    const seen = jest.fn();
    render(<Ladder holders={holders} units="metric" seen={{}} onSeen={seen} />);
    const line = holders.find((h) => h.key.startsWith('line:'))!;
    const buttons = screen.getAllByRole('button');
    expect(buttons).toHaveLength(holders.filter((h) => h.key.startsWith('line:')).length);
    await userEvent.setup().click(document.querySelector(`[data-holder="${line.key}"] button`)!);
    expect(seen).toHaveBeenCalledWith(line.key);
  });

  test('in inches its name says so', () => {
    const exact = (mm: number): Holder => ({
      ...holders[0]!,
      room: { lo: mm, typ: mm, hi: mm, basis: { kind: 'measured' } },
    });
    render(<Ladder holders={[exact(50.8)]} units="us" seen={{}} />);
    expect(screen.getByRole('list', { name: 'room left, inches' })).toBeTruthy();
    // 50.8 mm is 2 in by definition.
    expect(rows()[0]!.textContent).toMatch(/2$/);
  });
});

describe('choices for gloves', () => {
  test('one of several stays down; several stay down each by itself', async () => {
    const user = userEvent.setup();
    const chosen = jest.fn();
    const picked = jest.fn();
    render(
      <>
        <Choice
          label="People"
          value="one"
          options={[
            { value: 'one', label: 'one' },
            { value: 'two', label: 'two' },
          ]}
          onChoose={chosen}
        />
        <PickMany things={[{ id: 'a' }, { id: 'b', name: 'the b' }]} picked={['a']} onPick={picked} />
      </>,
    );
    expect(screen.getByRole('radio', { name: 'one' }).getAttribute('aria-checked')).toBe('true');
    await user.click(screen.getByRole('radio', { name: 'two' }));
    expect(chosen).toHaveBeenCalledWith('two');
    // What is down stays down.
    await user.click(screen.getByRole('radio', { name: 'one' }));
    expect(chosen).toHaveBeenCalledTimes(1);
    // By keyboard the arrows look, and only a key of its own chooses.
    await user.keyboard('{ArrowRight}');
    expect(document.activeElement?.textContent).toBe('two');
    expect(chosen).toHaveBeenCalledTimes(1);
    await user.keyboard('{Enter}');
    expect(chosen).toHaveBeenCalledTimes(2);
    await user.click(screen.getByRole('button', { name: 'the b' }));
    expect(picked).toHaveBeenLastCalledWith(['a', 'b']);
    await user.click(screen.getByRole('button', { name: 'a' }));
    expect(picked).toHaveBeenLastCalledWith([]);
  });
});

describe('drawings say what they show', () => {
  test('minutes as a range, and what they were before', () => {
    const { container } = render(
      <MinutesBar minutes={{ lo: 30, typ: 40, hi: 55 }} before={{ lo: 30, typ: 45, hi: 70 }} />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/30.*55.*minutes/);
    expect(container.querySelectorAll('circle').length).toBeGreaterThan(1);
  });

  test('both painted ends, capped ones with their caps', () => {
    const { container } = render(<PaintedEnds tag={12} capped />);
    const capped = container.querySelectorAll('path').length;
    expect(screen.getByRole('img', { name: '12 on both ends, marks in line' })).toBeTruthy();
    expect(container.querySelectorAll('text')).toHaveLength(2);
    const { container: bare } = render(<PaintedEnds tag={12} capped={false} />);
    expect(bare.querySelectorAll('path')).toHaveLength(capped - 1);
  });

  test('the wire hangs in the order of going back, and a tag opens what it is', async () => {
    const open = jest.fn();
    const vehicle = archetypes[0]!;
    const [a, b] = [
      vehicle.connections.find((c) => c.id === 'plug')!,
      vehicle.connections.find((c) => c.id === 'filler')!,
    ];
    const state = foldJob(
      null,
      logOf([a, b].map((c, i) => ({ kind: 'cleared', body: { key: `line:${c.id}`, tag: i + 1 } }))),
    )!;
    render(<Wire state={state} units="metric" onTag={open} />);
    const tags = screen.getAllByRole('button');
    // The plug is lost from reach at 50 (its slack), the filler at 25: the plug goes first.
    expect(tags[0]!.textContent).toContain('plug');
    await userEvent.setup().click(tags[1]!);
    expect(open).toHaveBeenCalledWith('line:filler');
  });
});

test('in inches the wire says so too', () => {
  const plug = archetypes[0]!.connections.find((c) => c.id === 'plug')!;
  const state = foldJob(null, logOf([{ kind: 'cleared', body: { key: `line:${plug.id}`, tag: 1 } }]))!;
  render(<Wire state={state} units="us" onTag={() => undefined} />);
  // Its hose lets 50 for certain: by 50 mm, 1.969 in, nearest 1 15/16.
  expect(screen.getByRole('button').textContent).toContain('by 1 15/16');
});
