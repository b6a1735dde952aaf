/** The basic bundle carries no types of its own; only what the charts here use is declared. */
declare module "plotly.js-basic-dist-min" {
  export type Data = Record<string, unknown>;
  export type Layout = Record<string, unknown>;
  const plotly: {
    react(node: HTMLElement, data: Data[], layout: Partial<Layout>, config: Record<string, unknown>): Promise<void>;
    purge(node: HTMLElement): void;
  };
  export default plotly;
}
