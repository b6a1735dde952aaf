/** Work to test with. */
import type { Effort, Task, WorkDay } from "./task";

let made = 0;
const id = () => `019d0000-0000-7000-9000-${String(++made).padStart(12, "0")}`;

export function sampleEffort(name: string, change: Partial<Effort> = {}): Effort {
  return {
    id: id(),
    name,
    hands: "right",
    effort: 3,
    perMin: 10,
    secEach: 2,
    flexionDeg: 20,
    tiltDeg: 0,
    turn: "neutral",
    grip: "power",
    ...change,
  };
}

export function sampleTask(name: string, efforts: Effort[], change: Partial<Task> = {}): Task {
  return { id: id(), name, tool: null, vibration: "none", cold: false, reach: false, efforts, ...change };
}

export function sampleDay(parts: readonly (readonly [task: Task, minutes: number])[]): WorkDay {
  return { id: id(), name: "Usual day", parts: parts.map(([task, minutes]) => ({ taskId: task.id, minutes })), personIds: [] };
}
