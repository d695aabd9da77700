import { openItems, owed, vapourFrom, type Debt } from '@iron-cradle/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { Band } from '../../../ui/Band.tsx';
import { TagSheet } from '../TagSheet.tsx';
import { TakeBack } from '../TakeBack.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { TorqueSheet } from '../refit/TorqueSheet.tsx';
import { HoldScreen } from '../hold/HoldScreen.tsx';
import { Again } from './Again.tsx';
import { Fill } from './Fill.tsx';
import { FirstStart } from './FirstStart.tsx';
import { Identity } from './Identity.tsx';
import { Joints } from './Joints.tsx';
import { Needle } from './Needle.tsx';
import { OwedSheet } from './OwedSheet.tsx';
import { WiresRow } from '../wires/WiresRow.tsx';
import { WiresScreen } from '../wires/WiresScreen.tsx';
import { useSingly } from '../../../ui/useSingly.ts';
import { useWords, Words } from '../../../ui/Words.tsx';

/** Prove: joint by joint, first fill, the complaint's own test again; then the signature. */
export default function Prove() {
  const { state } = useJob();
  const [search, setSearch] = useSearchParams();
  const vapour = vapourFrom(state);
  if (search.has('hold')) return <HoldScreen where="home" onDone={() => setSearch({})} />;
  if (search.has('wires')) return <WiresScreen onDone={() => setSearch({})} />;
  return (
    <TankLayout
      station="prove"
      page
      band={vapour ? <Band>{vapour.charAt(0).toUpperCase() + vapour.slice(1)}</Band> : null}
      stage={() => (
        <div className="grid h-full gap-8 overflow-y-auto p-4 mid:p-6">
          <h1 className="text-32">Prove it</h1>
          <Fill />
          <FirstStart />
          <Needle />
          <WiresRow onWires={() => setSearch({ wires: '' })} />
          <Joints onHold={() => setSearch({ hold: '' })} />
          <Again />
          <Identity />
        </div>
      )}
      now={
        <div className="flex min-h-full flex-col">
          <Signing />
        </div>
      }
    />
  );
}

/** What is still owed, and the signature. */
function Signing() {
  const { state, jobId, me, enter } = useJob();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const singly = useSingly(String(asking));
  const [debt, setDebt] = useState<Debt | null>(null);
  const debts = owed(state);
  const words = useWords();
  const [tag, setTag] = useState<string | null>(null);
  const [torque, setTorque] = useState<string | null>(null);
  const sign = async () => {
    if (!(await enter('signed', {}))) return;
    void navigate(`/jobs/${jobId}/record`);
  };
  const open = (d: Debt) => {
    if (openItems(state).some((i) => i.key === d.key)) setTag(d.key);
    else if (d.key.startsWith('torque:')) setTorque(`support:${d.key.slice('torque:'.length)}`);
    else setDebt(d);
  };
  if (state.signed)
    return (
      <div className="mt-auto p-4">
        <Strap onClick={() => void navigate(`/jobs/${jobId}/record`)}>Show the record</Strap>
      </div>
    );
  return (
    <>
      <section aria-label="still owed" className="flex-1 p-4 wide:p-5">
        <h2 className="border-b-2 border-ink pb-2 text-24">
          {debts.length === 0 ? 'Nothing is owed.' : `${debts.length} still owed`}
        </h2>
        <ul className="ruled">
          {debts.map((d) => (
            <li key={d.id}>
              <button
                type="button"
                className="flex min-h-14 w-full items-center gap-3 py-1 text-left"
                data-owed={d.key}
                onClick={() => open(d)}
              >
                <Shape outcome="bad" size={18} label="owed" />
                <Words of={d.text} />
              </button>
            </li>
          ))}
        </ul>
        {state.deviations.length > 0 && (
          <>
            <h3 className="pt-4 text-20">Left off, with a reason</h3>
            {state.deviations.map((d) => (
              <p key={d.debt} className="py-1">
                {d.what}: {d.reason}; agreed by {d.who}, due {d.due}
              </p>
            ))}
          </>
        )}
      </section>
      <div className="sticky bottom-0 grid gap-3 border-t border-rule bg-sheet p-4 wide:px-5">
        {asking && debts.length === 0 ? (
          <div className="grid gap-3" role="group" aria-label="the signature" data-singly>
            <p className="font-semibold">
              {`${me.name} signs ${state.name}: ${state.joints.filter((j) => j.verdict.outcome === 'good').length} joints dry, ${state.deviations.length === 0 ? 'nothing left off' : `${state.deviations.length} left off with a reason`}. After this only an addendum can be added.`}
            </p>
            <Strap data-action="sign-now" onClick={() => singly(() => void sign())}>
              I sign it
            </Strap>
            <button type="button" className="btn" data-action="not-yet" onClick={() => setAsking(false)}>
              Not yet
            </button>
          </div>
        ) : (
          <Strap
            data-action="sign"
            onClick={() => setAsking(true)}
            waitsFor={debts[0] ? words(debts[0].text) : undefined}
          >
            Sign the job
          </Strap>
        )}
        <div className="mid:hidden">
          <TakeBack />
        </div>
      </div>
      <OwedSheet debt={debt} onClose={() => setDebt(null)} />
      <TagSheet item={tag} onClose={() => setTag(null)} />
      <TorqueSheet item={torque} onClose={() => setTorque(null)} />
    </>
  );
}
