import { REGIONS } from "../../library";
import { handMap, MAP_VIEWS, SKINS, type MapPlace } from "..";

const look = { skin: SKINS[1]!, hair: "short" } as Parameters<typeof handMap>[1];
const maps = MAP_VIEWS.map((view) => handMap(view, look, REGIONS));

describe("the map of both hands", () => {
  it("shows every region of both sides somewhere", () => {
    const shown = new Set(maps.flatMap(({ places }) => places.map(({ side, region }) => `${side} ${region}`)));
    expect([...shown].sort()).toEqual(["left", "right"].flatMap((side) => REGIONS.map((region) => `${side} ${region}`)).sort());
  });
  it.each(MAP_VIEWS)("%s: the left hand on the left, the right one its mirror image", (view) => {
    const { places, width } = maps[MAP_VIEWS.indexOf(view)]!;
    const of = (side: MapPlace["side"]) => places.filter((place) => place.side === side).sort((a, b) => a.region.localeCompare(b.region));
    expect(of("left").map(({ region }) => region)).toEqual(of("right").map(({ region }) => region));
    of("left").forEach((left, i) => {
      const right = of("right")[i]!;
      expect(left.x).toBeLessThan(width / 2);
      expect(Math.abs(width - left.x - right.x)).toBeLessThan(6);
      expect(Math.abs(left.y - right.y)).toBeLessThan(6);
    });
  });
  it("the thumb is outside on the palms and inside on the backs", () => {
    const thumbX = (map: (typeof maps)[number]) => map.places.find(({ side, region }) => side === "left" && region === "thumbSideWrist")!.x;
    const littleX = (map: (typeof maps)[number]) =>
      map.places.find(({ side, region }) => side === "left" && region === "littleFingerSideWrist")!.x;
    expect(thumbX(maps[0]!)).toBeLessThan(littleX(maps[0]!));
    expect(thumbX(maps[1]!)).toBeGreaterThan(littleX(maps[1]!));
  });
  it("flexors are on the palm side, extensors on the back", () => {
    const names = maps.map(({ places }) => places.map(({ region }) => region));
    expect([names[0]!.includes("wristFlexors"), names[0]!.includes("wristExtensors")]).toEqual([true, false]);
    expect([names[1]!.includes("wristFlexors"), names[1]!.includes("wristExtensors")]).toEqual([false, true]);
  });
  it("places of a hand are far enough apart for a finger", () => {
    for (const { places } of maps)
      for (const [i, a] of places.entries())
        for (const b of places.slice(0, i)) if (a.side === b.side) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(24);
  });
  it("marks what it is asked to, stronger where asked stronger, and nothing else", () => {
    expect(maps[0]!.svg).not.toContain('class="felt"');
    const opacity = (strength: number) => {
      const { svg } = handMap("palms", look, REGIONS, [{ side: "right", region: "thumbBase", strength }]);
      expect(svg.match(/class="felt"/g)).toHaveLength(1);
      return Number(/class="felt"><path[^>]*fill-opacity="([\d.]+)"/.exec(svg)![1]);
    };
    expect(opacity(1)).toBeGreaterThan(opacity(0.3));
    expect(handMap("palms", look, REGIONS, [{ side: "right", region: "thumbBase", strength: 0 }]).svg).not.toContain('class="felt"');
  });
  it("is drawn without a broken number and stays small", () => {
    for (const { svg } of maps) {
      expect(svg).not.toMatch(/NaN|undefined|Infinity/);
      expect(svg.length).toBeLessThan(60_000);
    }
  });
});
