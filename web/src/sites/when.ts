/** A moment as people say it: the day, and of today the time. */
export function when(iso: string): string {
  const moment = new Date(iso);
  const today = moment.toDateString() === new Date().toDateString();
  if (today) return `today, ${moment.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
  return moment.toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
}
