import { archetypes, checkVehicle, OPEN_REACH, type Range, type VehicleFile } from '@iron-cradle/core';
import { act, render, renderHook, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { LineForm, newLine } from './LineForm.tsx';
import { placed } from './placed.ts';
import { Place } from './Place.tsx';
import { RangeField } from './RangeField.tsx';
import { UnreadContext, type Unread } from './unread.ts';
import { useDraft } from './useDraft.ts';

const given = archetypes[0]!;

describe('a draft of a vehicle file', () => {
  const open = () => renderHook(() => useDraft(given)).result;

  test('every change can be undone, the given file never changes, and no change is no change', () => {
    const draft = open();
    const before = structuredClone(given);
    act(() => draft.current.change((f) => void (f.clear += 5)));
    act(() => draft.current.change((f) => void (f.name = 'Tender')));
    expect(draft.current.file).toMatchObject({ clear: given.clear + 5, name: 'Tender' });
    expect(draft.current.dirty).toBe(true);
    act(() => draft.current.undo());
    act(() => draft.current.undo());
    expect(draft.current).toMatchObject({ dirty: false, canUndo: false });
    expect(draft.current.file).toEqual(before);
    expect(given).toEqual(before);
  });

  test('what makes no sense is named with its place and lost nothing', () => {
    const draft = open();
    act(() => draft.current.change((f) => void (f.connections[0]!.x = 99_999)));
    expect(draft.current.problem).toMatchObject({ field: 'connections[0].x' });
    expect(draft.current.problem!.text).toMatch(
      new RegExp(`^${given.connections[0]!.name}, x: expected .*found .*99999`),
    );
    expect(draft.current.file.connections[0]!.x).toBe(99_999);
    act(() => draft.current.undo());
    expect(draft.current.problem).toBeNull();
  });

  test('ways that wait for one another in a circle are said by name', () => {
    const draft = open();
    const [a, b] = [given.connections[0]!, given.connections[1]!];
    act(() =>
      draft.current.change((f) => {
        for (const way of f.connections[0]!.part) way.after = [b.id];
        for (const way of f.connections[1]!.part) way.after = [a.id];
      }),
    );
    expect(draft.current.problem!.text).toContain(a.id);
    expect(draft.current.problem!.text).toContain(b.id);
  });
});

describe('a figure of the file', () => {
  const field = (range: Range, onEmpty?: () => void) => {
    const kept: Range[] = [];
    let unread: Unread = {};
    function Held() {
      const [now, setNow] = useState(range);
      return (
        <UnreadContext.Provider value={(change) => void (unread = change(unread))}>
          <RangeField
            label="Slack"
            range={now}
            onChange={(r) => (kept.push(r), setNow(r))}
            {...(onEmpty ? { onEmpty } : {})}
          />
        </UnreadContext.Provider>
      );
    }
    const { unmount } = render(<Held />);
    return { kept, unread: () => unread, unmount, input: screen.getByLabelText('Slack'), user: userEvent.setup() };
  };

  test('one number is measured, two are a guess', async () => {
    const { kept, input, user } = field({ lo: 10, typ: 20, hi: 30 });
    await user.clear(input);
    await user.type(input, '45');
    expect(kept.at(-1)).toEqual({ lo: 45, typ: 45, hi: 45, basis: { kind: 'measured' } });
    await user.type(input, '–60');
    expect(kept.at(-1)).toMatchObject({ lo: 45, hi: 60, basis: { kind: 'typical' } });
  });

  test('left as it stood it keeps its likely figure and where it comes from', async () => {
    const { kept, input, user } = field({ lo: 10, typ: 28, hi: 30, basis: { kind: 'measured' } });
    await user.type(input, ' ');
    expect(kept).toEqual([]);
    expect((input as HTMLInputElement).value).toBe('10–30 ');
  });

  test('what can’t be read is told, and forgotten when the field goes', async () => {
    const { kept, unread, input, user, unmount } = field({ lo: 10, typ: 10, hi: 10 });
    await user.clear(input);
    await user.type(input, 'much');
    expect(Object.values(unread())).toEqual(['Slack']);
    expect(kept).toEqual([]);
    unmount();
    expect(unread()).toEqual({});
  });

  test('open shows as empty, and emptied means something where it may', async () => {
    let emptied = 0;
    const { input, user } = field({ lo: OPEN_REACH, typ: OPEN_REACH, hi: OPEN_REACH }, () => (emptied += 1));
    expect((input as HTMLInputElement).value).toBe('');
    await user.type(input, '5');
    await user.clear(input);
    expect(emptied).toBe(1);
  });
});

describe('one connection', () => {
  function Held({ id, told }: { id: string; told: (file: VehicleFile) => void }) {
    const draft = useDraft(given);
    told(draft.file);
    return <LineForm draft={draft} id={id} />;
  }
  const open = (id: string) => {
    let file = given;
    render(<Held id={id} told={(f) => (file = f)} />);
    const line = () => file.connections.find((c) => c.id === id);
    return { line, file: () => file, user: userEvent.setup() };
  };

  test('each side it can sit on is shown as it stands in the file', () => {
    const filler = given.connections.find((c) => c.side === 'outside')!;
    open(filler.id);
    expect((screen.getByLabelText('On its') as HTMLSelectElement).value).toBe('outside');
  });

  test('kind, fitting, wet and people are kept as chosen', async () => {
    const { line, user } = open('vent');
    await user.selectOptions(screen.getByLabelText('Fitting'), 'ear-clamp');
    await user.click(screen.getByRole('radio', { name: 'wet' }));
    const parts = within(screen.getByRole('region', { name: 'Parts at' }));
    await user.click(parts.getAllByRole('radio', { name: 'two' })[0]!);
    expect(line()).toMatchObject({ fitting: 'ear-clamp', wetWhenOpen: true, part: [{ people: 2 }] });
    // What a hand reaches going up is another matter.
    expect(line()!.make[0]!.people).toBe(given.connections.find((c) => c.id === 'vent')!.make[0]!.people);
  });

  test('another way begins with an id of its own, and the last way can’t be taken out', async () => {
    const { line, user } = open('vent');
    const parts = within(screen.getByRole('region', { name: 'Parts at' }));
    expect(parts.queryByRole('button', { name: 'Not this way' })).toBeNull();
    await user.click(parts.getByRole('button', { name: 'Another way' }));
    const ids = line()!.part.map((w) => w.id);
    expect(new Set(ids).size).toBe(2);
    await user.click(parts.getAllByRole('button', { name: 'Not this way' })[0]!);
    expect(line()!.part.map((w) => w.id)).toEqual([ids[1]]);
  });

  test('it never waits for itself, and waits for whatever is picked', async () => {
    const { line, user } = open('vent');
    const parts = within(screen.getByRole('region', { name: 'Parts at' }));
    expect(parts.queryByRole('button', { name: line()!.name })).toBeNull();
    const plug = given.connections.find((c) => c.id === 'plug')!;
    await user.click(parts.getByRole('button', { name: plug.name }));
    expect(line()!.part[0]!.after).toEqual(['plug']);
  });

  test('taken out of the file it is gone, and the file still makes sense', async () => {
    const { file, user } = open('vent');
    await user.click(screen.getByRole('button', { name: 'Take this line out of the file' }));
    expect(file().connections.map((c) => c.id)).not.toContain('vent');
    expect(() => checkVehicle(file())).not.toThrow();
  });

  test('a new one has an id nobody has and makes sense at once', () => {
    const line = newLine({ ...given, connections: [...given.connections, { ...given.connections[0]!, id: 'line-1' }] });
    expect(line.id).not.toBe('line-1');
    expect(() => checkVehicle({ ...given, connections: [...given.connections, line] })).not.toThrow();
  });
});

describe('a place along the tank', () => {
  test('is slid or typed, and says from which end', async () => {
    const to: number[] = [];
    render(<Place file={given} x={300} onChange={(x) => to.push(x)} />);
    const input = screen.getByLabelText(`Along the tank, from the ${given.ends[0]} end`);
    await userEvent.setup().type(input, '5');
    expect(to.at(-1)).toBe(3005);
    const thumb = screen.getByRole('slider');
    expect(thumb.getAttribute('aria-valuemax')).toBe(String(given.length));
    thumb.focus();
    await userEvent.setup().keyboard('{ArrowRight}');
    expect(to.at(-1)).toBe(305);
  });

  test('dragged, only the thing dragged moves, in a copy', () => {
    const moved = placed(given, 'line:vent', 415);
    expect(moved.connections.find((c) => c.id === 'vent')!.x).toBe(415);
    expect(moved.connections.filter((c, i) => c.x !== given.connections[i]!.x)).toHaveLength(1);
    const thing = given.obstructions[0]!;
    expect(placed(given, `obstruction:${thing.id}`, 20).obstructions[0]!.x).toBe(20);
    expect(given.obstructions[0]).toBe(thing);
  });
});
