const REST_MS = 10 * 60_000;

/** The step's clock: runs from begin to pause, and says how long it is since a rest. Milliseconds. */
export class StepClock {
  sewnMs = 0;
  since: number | null = null;
  sinceRestMs = 0;
  private stoodSince: number | null = null;
  begin(at: number) {
    this.pause(at);
    this.sewnMs = 0;
    this.resume(at);
  }
  pause(at: number) {
    if (this.since === null) return;
    const ms = Math.max(0, at - this.since);
    this.sewnMs += ms;
    this.sinceRestMs += ms;
    this.since = null;
    this.stoodSince = at;
  }
  resume(at: number) {
    if (this.since !== null) return;
    if (this.stoodSince !== null && at - this.stoodSince >= REST_MS) this.sinceRestMs = 0;
    this.since = at;
  }
  reset() {
    this.sewnMs = 0;
  }
}
