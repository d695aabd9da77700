import { jest } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QuantityField } from './QuantityField.tsx';

const read = jest.fn();
const empty = jest.fn();
const unreadable = jest.fn();
const field = (more: Partial<Parameters<typeof QuantityField>[0]> = {}) => {
  render(
    <QuantityField
      label="It lets"
      dimension="length"
      unit="mm"
      decimals={1}
      hint="two fingers, 45 mm"
      onRead={read}
      onEmpty={empty}
      onUnreadable={unreadable}
      {...more}
    />,
  );
  return { user: userEvent.setup(), input: screen.getByLabelText('It lets') };
};
const last = () => read.mock.calls.at(-1)![0] as { lo: number; typ: number; hi: number } | null;
beforeEach(() => [read, empty, unreadable].forEach((f) => f.mockClear()));

describe('a quantity as people write it', () => {
  // 1 in = 25.4 mm by definition.
  test.each([
    ['45', 0.045],
    ['45 mm', 0.045],
    ['4,5 cm', 0.045],
    ['1 3/4 in', 1.75 * 0.0254],
    ['1/2 in', 0.0127],
  ])('“%s” is read, and what was understood is said', async (text, metres) => {
    const { user, input } = field();
    await user.type(input, text);
    expect(last()!.typ).toBeCloseTo(metres, 9);
    expect(screen.getByText(/^understood: /)).toBeTruthy();
    expect(input.getAttribute('aria-invalid')).toBe('false');
  });

  test('what can hardly be meant is asked about, and counts once it was said to be', async () => {
    const { user, input } = field({ dimension: 'voltage', unit: 'V' });
    await user.type(input, '9999');
    expect(last()).toBeNull();
    expect(unreadable).toHaveBeenLastCalledWith(true);
    expect(screen.getByText('really 9999 V?')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Yes, it is 9999 V' }));
    expect(last()!.typ).toBe(9999);
    // Typed on, it is another figure, and asked about anew.
    await user.type(input, '9');
    expect(last()).toBeNull();
    await user.clear(input);
    await user.type(input, '12.1');
    expect(last()!.typ).toBe(12.1);
  });

  test('a range stays a range', async () => {
    const { user, input } = field();
    await user.type(input, '20–60');
    expect([last()!.lo, last()!.hi]).toEqual([0.02, 0.06]);
    expect(screen.getByText('understood: 20 mm to 60 mm')).toBeTruthy();
  });

  test('what can’t be read says what is expected, keeps what was typed and gives nothing', async () => {
    const { user, input } = field();
    await user.type(input, 'a hand');
    expect(last()).toBeNull();
    expect(screen.getByText(/^Expected/)).toBeTruthy();
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect((input as HTMLInputElement).value).toBe('a hand');
    expect(unreadable).toHaveBeenLastCalledWith(true);
    await user.clear(input);
    expect(empty).toHaveBeenCalledTimes(1);
    expect(unreadable).toHaveBeenLastCalledWith(false);
    expect(screen.getByText('two fingers, 45 mm')).toBeTruthy();
  });

  test('its own keypad writes digits and fractions, and takes them back', async () => {
    const { user, input } = field({ unit: 'in' });
    await user.click(screen.getByRole('button', { name: 'Keys' }));
    for (const key of ['1', '2', 'delete', '3/4'].map((k) => (k === '3/4' ? '1/4' : k)))
      await user.click(screen.getByRole('button', { name: key }));
    expect((input as HTMLInputElement).value).toBe('1 1/4');
    expect(last()!.typ).toBeCloseTo(1.25 * 0.0254, 9);
  });
});
