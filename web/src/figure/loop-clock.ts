/** Seconds into a loop, by the clock. Standing still keeps the place; a new length starts over. */
export class LoopClock {
  private lengthSec = 1;
  private running = false;
  private atSec = 0;
  private sinceMs = 0;

  set(lengthSec: number, running: boolean, nowMs: number): void {
    this.atSec = lengthSec === this.lengthSec ? this.placeAt(nowMs) : 0;
    this.sinceMs = nowMs;
    this.lengthSec = lengthSec;
    this.running = running;
  }

  placeAt(nowMs: number): number {
    return (this.atSec + (this.running ? (nowMs - this.sinceMs) / 1000 : 0)) % this.lengthSec;
  }
}
