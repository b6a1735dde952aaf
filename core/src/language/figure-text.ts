/** A figure's text alternative: its poses as facts, the facts as words of a language. */
import { factsOf, mirrorPose, type Fact, type Figure, type Pose, type SideName } from "../figure";

type Text = (key: string, values?: Record<string, string | number>) => string;

export function figureText(text: Text, figure: Figure, side: SideName, name: string): string {
  const told = figure.poses.map((pose) => poseText(text, side === "right" ? pose : mirrorPose(pose)));
  if (told.length === 1) return text("still", { name, end: told[0]! });
  if (told.length === 2) return text("picture", { name, start: told[0]!, end: told[1]! });
  return text("steps", { name, steps: told.map((each, i) => `${i + 1}. ${each}`).join("; ") });
}

function poseText(text: Text, pose: Pose): string {
  const { arms, body } = factsOf(pose);
  const fact = ({ key, degrees, side, part }: Fact) =>
    text(key, {
      ...(degrees !== undefined && { degrees }),
      ...(side && { side: text(`side.${side}`) }),
      ...(part && { part: text(`part.${part}`) }),
    });
  return [
    ...arms.map(({ side, facts, hand }) => {
      const parts = [...facts.map(fact), text(`hand.${hand}`)].join(", ");
      return side === "both" ? text("arms", { parts }) : text("arm", { side: text(`side.${side}`), parts });
    }),
    ...body.map(fact),
  ].join("; ");
}
