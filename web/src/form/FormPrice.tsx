import type { FieldValues, Path } from 'react-hook-form';
import { useShop } from '../net/queries.ts';
import { FormQuantity } from './FormQuantity.tsx';
import type { BodyForm } from './useBodyForm.ts';

interface FormPriceProps<T extends FieldValues> {
  form: BodyForm<T>;
  name: Path<T>;
  label: string;
  hint?: string;
}

/** An amount in the shop’s currency, of a form. */
export function FormPrice<T extends FieldValues>({ label, ...rest }: FormPriceProps<T>) {
  const currency = useShop().data?.prices.currency ?? '';
  return (
    <FormQuantity
      {...rest}
      label={currency ? `${label} in ${currency}` : label}
      dimension="count"
      unit="one"
      step={0.01}
      decimals={2}
    />
  );
}
