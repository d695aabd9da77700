const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', 'clear', '0', 'del'];

interface PinPadProps {
  /** What was typed so far. */
  pin: string;
  onPin: (pin: string) => void;
  onEnter: () => void;
  /** Do the keys of a keyboard count? */
  active: boolean;
  /** Does it take the focus: is there nothing else to type? */
  takes: boolean;
}

/** A PIN, tapped or typed. */
export function PinPad({ pin, onPin, onEnter, active, takes }: PinPadProps) {
  const press = (key: string) =>
    onPin(key === 'clear' ? '' : key === 'del' ? pin.slice(0, -1) : (pin + key).slice(0, 8));
  return (
    <>
      <p className="reading mb-4 h-16 border-b-2 border-ink text-48 leading-none tracking-[0.3em]">
        <span aria-hidden>{'*'.repeat(pin.length)}</span>
        <span className="sr-only">{pin.length} digits typed</span>
      </p>
      <div className="grid grid-cols-3 gap-3">
        {KEYS.map((key) => (
          <button key={key} type="button" className="btn reading text-24" onClick={() => press(key)}>
            {key}
          </button>
        ))}
      </div>
      {active && <PinKeys onKey={press} onEnter={onEnter} takes={takes} />}
    </>
  );
}

const takeFocus = (input: HTMLInputElement | null) => input?.focus();

/** The PIN can be typed too; it is read from the keys, so that no browser offers to keep it. */
function PinKeys({ onKey, onEnter, takes }: { onKey: (key: string) => void; onEnter: () => void; takes: boolean }) {
  return (
    <input
      aria-label="type the PIN"
      className="pointer-events-none fixed size-px opacity-0"
      ref={takes ? takeFocus : null}
      inputMode="none"
      value=""
      onChange={() => undefined}
      onKeyDown={(event) => {
        if (/^\d$/.test(event.key)) onKey(event.key);
        else if (event.key === 'Backspace') onKey('del');
        else if (event.key === 'Enter') onEnter();
      }}
    />
  );
}
