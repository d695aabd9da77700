import type { Connection, Obstruction, VehicleFile } from '@iron-cradle/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { Missing } from '../../app/Missing.tsx';
import { TopBar } from '../../app/TopBar.tsx';
import { Shape } from '../../look/Shapes.tsx';
import { Strap } from '../../look/Strap.tsx';
import { call } from '../../net/api.ts';
import { useVehicles } from '../../net/queries.ts';
import { save } from '../../ui/save.ts';
import { Compare } from './Compare.tsx';
import { LineForm, newLine } from './LineForm.tsx';
import { Planned } from './Planned.tsx';
import { newObstruction, ObstructionForm, SupportsForm } from './ThingForms.tsx';
import { placed } from './placed.ts';
import { UnreadContext, type Unread } from './unread.ts';
import { TankForm } from './TankForm.tsx';
import { useDraft } from './useDraft.ts';
import { VariantsForm } from './VariantsForm.tsx';
import { Versions } from './Versions.tsx';

/** One vehicle file, opened once it is here. */
export default function VehicleScreen() {
  const { id = '' } = useParams();
  const vehicles = useVehicles();
  const file = vehicles.data?.find((v) => v.id === id);
  if (vehicles.data && (!file || id.startsWith('archetype-'))) return <Missing what="vehicle" />;
  if (!file)
    return (
      <>
        <TopBar title="Vehicle" to="/vehicles" />
        <p className="p-6 text-quiet">{vehicles.isError ? vehicles.error.message : 'Opening the file…'}</p>
      </>
    );
  return <Editor key={file.id} given={file} others={vehicles.data!.filter((v) => v.id !== id)} />;
}

function Editor({ given, others }: { given: VehicleFile; others: VehicleFile[] }) {
  const client = useQueryClient();
  const draft = useDraft(given);
  const { file, change, problem } = draft;
  const [part, setPart] = useState('tank');
  const [sheet, setSheet] = useState<'compare' | 'versions' | null>(null);
  const [said, setSaid] = useState<{ good: boolean; text: string } | null>(null);
  const keep = async () => {
    setSaid(null);
    try {
      await call('PUT', `/vehicles/${file.id}`, { body: file });
      await client.invalidateQueries({ queryKey: ['vehicles'] });
      await client.invalidateQueries({ queryKey: ['versions', file.id] });
      setSaid({ good: true, text: 'Kept. The version before is kept too.' });
    } catch (error) {
      setSaid({ good: false, text: `${(error as Error).message} What you typed is still here.` });
    }
  };
  const [unread, setUnread] = useState<Unread>({});
  const unreadable = Object.values(unread)[0];
  const go = (to: string) => (setPart(to), setSaid(null));
  const add = (what: 'line' | 'thing') => {
    const made = what === 'line' ? newLine(file) : newObstruction(file);
    change(
      (f) => void (what === 'line' ? f.connections.push(made as Connection) : f.obstructions.push(made as Obstruction)),
    );
    go(`${what}:${made.id}`);
  };
  const tabs: [string, string][] = [
    ['tank', 'The tank'],
    ...file.connections.map((c): [string, string] => [`line:${c.id}`, c.name]),
    ...file.obstructions.map((o): [string, string] => [`thing:${o.id}`, o.name]),
    ['supports', 'What holds it'],
    ['variants', 'Variants'],
  ];
  const rest = part.slice(part.indexOf(':') + 1);
  return (
    <>
      <TopBar title={file.name} hint="vehicle file" to="/vehicles" />
      <main className="mx-auto grid max-w-[84rem] gap-6 p-4 pb-10 mid:p-6 wide:grid-cols-[15rem_1fr_26rem]">
        <nav aria-label="parts of the file" className="grid content-start gap-2">
          {tabs.map(([key, name]) => (
            <button
              key={key}
              type="button"
              className="btn min-h-12 justify-start text-16"
              aria-pressed={part === key}
              data-part={key}
              onClick={() => go(key)}
            >
              {name}
            </button>
          ))}
          {(['line', 'thing'] as const).map((what) => (
            <button
              key={what}
              type="button"
              className="btn min-h-12 text-16"
              data-action={`add-${what}`}
              onClick={() => add(what)}
            >
              {what === 'line' ? 'Another line' : 'Something in the way'}
            </button>
          ))}
        </nav>
        <section
          key={`${part}/${draft.turn}`}
          aria-label={tabs.find(([key]) => key === part)?.[1] ?? 'part'}
          className="min-w-0"
        >
          <UnreadContext.Provider value={setUnread}>
            {part === 'tank' && <TankForm draft={draft} />}
            {part === 'supports' && <SupportsForm draft={draft} />}
            {part === 'variants' && <VariantsForm draft={draft} />}
            {part.startsWith('line:') && <LineForm draft={draft} id={rest} />}
            {part.startsWith('thing:') && <ObstructionForm draft={draft} id={rest} />}
          </UnreadContext.Provider>
        </section>
        <aside className="min-w-0 wide:sticky wide:top-4 wide:self-start">
          <Planned
            file={file}
            whole={problem === null}
            onLine={go}
            onPlace={(key, x) => draft.take(placed(file, key, x))}
          >
            {/* What can be tapped stands still while the plan below it comes and goes. */}
            <div className="grid gap-3 pt-3">
              <Strap
                data-action="keep"
                onClick={() => void keep()}
                waitsFor={
                  problem
                    ? 'mend what is wrong first'
                    : unreadable
                      ? `“${unreadable}” can’t be read yet`
                      : draft.dirty
                        ? undefined
                        : 'nothing was changed'
                }
              >
                Keep it
              </Strap>
              <div className="grid grid-cols-2 gap-3">
                <button type="button" className="btn" disabled={!draft.canUndo} onClick={draft.undo}>
                  Undo
                </button>
                <button type="button" className="btn" onClick={() => setSheet('versions')}>
                  Before
                </button>
                <button type="button" className="btn" onClick={() => setSheet('compare')}>
                  Compare
                </button>
                <button
                  type="button"
                  className="btn"
                  onClick={() => save(`${file.id}.json`, JSON.stringify(file, null, 1), 'application/json')}
                >
                  Save as JSON
                </button>
              </div>
            </div>
            {problem && (
              <p className="flex gap-2 py-3 font-semibold text-halt" role="alert" data-problem={problem.field}>
                <Shape outcome="bad" size={24} />
                {problem.text}
              </p>
            )}
            {said && (
              <p className={`py-2 font-semibold ${said.good ? 'text-go' : 'text-halt'}`} role="status">
                {said.text}
              </p>
            )}
          </Planned>
        </aside>
      </main>
      {sheet === 'compare' && <Compare file={file} others={others} onClose={() => setSheet(null)} />}
      {sheet === 'versions' && (
        <Versions id={file.id} onClose={() => setSheet(null)} onTake={(old) => draft.take(old)} />
      )}
    </>
  );
}
