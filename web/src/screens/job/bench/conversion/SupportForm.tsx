import { EntryForm } from '../../../../form/EntryForm.tsx';
import { FormQuantity } from '../../../../form/FormQuantity.tsx';
import { FormText } from '../../../../form/FormText.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { Strap } from '../../../../look/Strap.tsx';
import { useShop } from '../../../../net/queries.ts';
import { VerdictView } from '../../../../ui/VerdictView.tsx';

/** What carries another tank, or a support the shop made: full mass, the shop’s factor, what each part is good for. */
export function SupportForm() {
  const { state } = useJob();
  const shop = useShop().data;
  const shock = shop?.shock ?? null;
  const form = useEntryForm({ kind: 'supportPlanned', start: { good: {}, signedBy: '' } });
  const kn = { form, dimension: 'count', unit: 'one', step: 0.1, decimals: 1 } as const;
  return (
    <>
      {state.carries && (
        <div data-carries={state.carries.verdict.outcome}>
          <VerdictView verdict={state.carries.verdict} />
        </div>
      )}
      {!state.signed && (
        <EntryForm
          say={() =>
            form.say({
              ...(shock === null ? {} : { shock }),
              // What nobody knows is left out, not zero.
              good: Object.fromEntries(
                Object.entries(form.getValues('good') ?? {}).filter(
                  ([, value]) => value !== null && value !== undefined,
                ),
              ),
            })
          }
          label="what carries it"
        >
          <p className="text-quiet">
            {!shop
              ? 'Not heard from the shop’s server yet: what factor for bumps the shop has set.'
              : shock === null
                ? 'The shop has set no factor for bumps: without it nobody can say.'
                : `A bump makes ${shock} times its weight, by the shop’s rule.`}
          </p>
          <div className="grid grid-cols-2 gap-x-3">
            <FormQuantity form={form} name="kilograms" label="Full, it weighs" dimension="mass" unit="kg" step={0.5} />
            <FormQuantity
              form={form}
              name="count"
              label="Shared by"
              dimension="count"
              unit="one"
              step={1}
              decimals={0}
            />
            <FormQuantity {...kn} name="good.hook" label="A hook is good for, kN" />
            <FormQuantity {...kn} name="good.strap" label="A strap, kN" />
            <FormQuantity {...kn} name="good.bolt" label="A bolt, kN" />
          </div>
          <FormText
            form={form}
            name="signedBy"
            label="Somebody outside signed for it: who (may stay empty)"
            maxLength={120}
          />
          <Strap
            type="submit"
            data-action="carries-judge"
            waitsFor={shop ? undefined : 'the shop’s factor has not been heard'}
          >
            Does it carry?
          </Strap>
        </EntryForm>
      )}
    </>
  );
}
