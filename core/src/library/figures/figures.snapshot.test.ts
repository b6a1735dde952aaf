/**
 * Every figure as text: what its poses are in words, where the hands are, and what is drawn. A changed pose shows as a difference that can
 * be read; run Jest with `-u` when it was meant.
 */
import { bonesOf, SIDE_NAMES, type Figure, type Pose } from "../../figure";
import { wordsIn } from "../../language";
import { SHIPPED_LIBRARY, stage } from "..";

const words = wordsIn("en");
const rounded = (place: readonly number[]) => place.map((each) => Math.round(each / 5) * 5).join(" ");

/** Wrist and middle fingertip of each arm, to half a centimetre. */
function handsOf(pose: Pose): string[] {
  const { arms } = bonesOf(pose);
  return SIDE_NAMES.flatMap((side) => {
    const arm = arms[side];
    return arm ? [`${side} wrist ${rounded(arm.wrist.o)}, middle finger ${rounded(arm.digits.middle.tip)}`] : [];
  });
}

/** Kinds of shapes in the drawing and how many of each; not their curves, which change with every stroke. */
function drawnOf(svg: string): string {
  const counts = new Map<string, number>();
  for (const [, name] of svg.matchAll(/class="([\w- ]+)"/g)) counts.set(name!, (counts.get(name!) ?? 0) + 1);
  return [...counts.keys()].sort().join(", ");
}

function told(figure: Figure, name: string) {
  return {
    words: words.figure(figure, "right", name).split("; "),
    seen: [figure.view, figure.focus, figure.way, ...(figure.inset ? ["enlarged"] : [])].join(", "),
    hands: figure.poses.map(handsOf),
  };
}

it.each(SHIPPED_LIBRARY.movements.map(({ id }) => id))("%s", (id) => {
  const movement = SHIPPED_LIBRARY.get(id);
  const base = SHIPPED_LIBRARY.figure(id)!;
  const forms = movement.forms.flatMap((form) => {
    const figure = SHIPPED_LIBRARY.figure(id, form.id)!;
    return figure === base ? [] : [[form.id, told(figure, words.movementName(id))]];
  });
  expect({
    ...told(base, words.movementName(id)),
    drawn: drawnOf(stage(SHIPPED_LIBRARY, id, undefined, { width: 90, height: 68, cell: 4 }).still()),
    forms: Object.fromEntries(forms) as object,
  }).toMatchSnapshot();
});
