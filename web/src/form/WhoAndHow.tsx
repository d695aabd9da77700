import type { FieldValues, Path } from 'react-hook-form';
import { FormText } from './FormText.tsx';
import type { BodyForm } from './useBodyForm.ts';

/** Who said something, and how it reached the shop: `who` and `how` of a form. */
export const WhoAndHow = <T extends FieldValues & { who: string; how: string }>({ form }: { form: BodyForm<T> }) => (
  <div className="grid gap-4 mid:grid-cols-2">
    <FormText form={form} name={'who' as Path<T>} label="Who said it" maxLength={80} expected="a name" />
    <FormText
      form={form}
      name={'how' as Path<T>}
      label="How: by phone, at the counter, in writing"
      maxLength={80}
      expected="how it was said"
    />
  </div>
);
