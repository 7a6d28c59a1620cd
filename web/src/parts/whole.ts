/** A select of names that people gave: the whole of the chosen one is told when it is pointed at, as it may be cut. */
export function whole(select: HTMLSelectElement): () => void {
  const tell = () => (select.title = select.selectedOptions[0]?.label ?? '');
  tell();
  select.addEventListener('pointerenter', tell);
  select.addEventListener('focus', tell);
  return () => {
    select.removeEventListener('pointerenter', tell);
    select.removeEventListener('focus', tell);
  };
}
