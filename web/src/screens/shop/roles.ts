/** What somebody may do, to choose from. */
export const ROLES = [
  { value: 'technician', label: 'Technician' },
  { value: 'lead', label: 'Lead' },
] as const;
