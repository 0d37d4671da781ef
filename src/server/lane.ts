/** Lets so many run at a time; the others wait for their turn, first come first. */
export class Lane {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(private readonly wide: number) {}

  async run<T>(work: () => Promise<T>): Promise<T> {
    if (this.running >= this.wide) await new Promise<void>((go) => this.waiting.push(go));
    else this.running++;
    try {
      return await work();
    } finally {
      const next = this.waiting.shift();
      if (next)
        next(); // it takes the place that is free now
      else this.running--;
    }
  }
}
