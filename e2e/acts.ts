/** Presses and typed fields, counted: what a piece of work costs its user. */
import type { Locator, Page } from "@playwright/test";

export class Acts {
  count = 0;

  constructor(private readonly page: Page) {}

  async press(target: Locator): Promise<void> {
    this.count++;
    await target.click();
  }

  /** A text typed into a field, or a file given to one. */
  async type(field: Locator, text: string): Promise<void> {
    this.count++;
    await field.fill(text);
  }

  async give(field: Locator, file: Parameters<Locator["setInputFiles"]>[0]): Promise<void> {
    this.count++;
    await field.setInputFiles(file);
  }

  async key(name: string): Promise<void> {
    this.count++;
    await this.page.keyboard.press(name);
  }

  /** How many since the last time it was asked. */
  taken(): number {
    const { count } = this;
    this.count = 0;
    return count;
  }
}
