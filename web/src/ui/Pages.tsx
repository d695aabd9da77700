import { Tabs } from 'radix-ui';
import type { ReactNode } from 'react';

interface PagesProps {
  /** What they are pages of, for a screen reader. */
  label: string;
  pages: readonly { id: string; name: string; children: ReactNode }[];
}

/** Pages of one sheet, one in sight: the first at first. */
export function Pages({ label, pages }: PagesProps) {
  return (
    <Tabs.Root defaultValue={pages[0]?.id ?? ''}>
      <Tabs.List aria-label={label} className="grid auto-cols-fr grid-flow-col gap-3">
        {pages.map(({ id, name }) => (
          <Tabs.Trigger
            key={id}
            value={id}
            className="min-h-16 border-b-4 border-rule px-2 text-20 font-semibold [font-stretch:85%] data-[state=active]:border-ink data-[state=inactive]:text-quiet"
          >
            {name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {pages.map(({ id, children }) => (
        <Tabs.Content key={id} value={id} className="pt-4 outline-none">
          {children}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
