/** The shape every language file has to fill. A second language is a folder beside `en` with the same shape. */
export interface MovementWords {
  name: string;
  /** One action a line, in order. */
  steps: readonly string[];
  /** Where it should be felt. */
  feel: string;
  /** The usual cheats. */
  watch: readonly string[];
  care: readonly string[];
  /** Form id → label. */
  forms: Readonly<Record<string, string>>;
}
