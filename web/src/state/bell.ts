/** Tells whoever listens that something has happened. */
export class Bell {
  private readonly ears = new Set<() => void>();

  listen(ear: () => void): void {
    this.ears.add(ear);
  }

  ring(): void {
    for (const ear of this.ears) ear();
  }
}
