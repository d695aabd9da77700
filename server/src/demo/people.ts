/** People of the demo shop and their PINs, shown on the sign-in screen in demo mode only. All invented. */
export const demoPeople = [
  { id: 'ines', name: 'Ines', role: 'technician', pin: '2580' },
  { id: 'bo', name: 'Bo', role: 'technician', pin: '1470' },
  { id: 'marit', name: 'Marit', role: 'lead', pin: '3690' },
] as const;

/** PINs of the demo shop, by person; shown at the sign-in of the demo and nowhere else. */
export const demoPins: Record<string, string> = Object.fromEntries(demoPeople.map((p) => [p.id, p.pin]));
