/** The four crews of the demo practice. Every person and place is made up. */
import type { Crew } from "@kind-grip/core/crew";
import type { Language } from "@kind-grip/core/language";
import type { ShiftPattern } from "@kind-grip/core/calendar";

/** Monday the demo's cycles are counted from, three weeks before its today. */
export const ANCHOR = "2026-03-02";
export const TIME_ZONE = "Europe/Dublin";

const weekdays = (id: string) => [id, id, id, id, id, null, null];

const roofShifts: ShiftPattern = {
  anchorDate: ANCHOR,
  shifts: [
    {
      id: "day",
      name: "Day",
      start: "07:00",
      lengthMin: 540,
      breaks: [
        { afterMin: 165, lengthMin: 15 },
        { afterMin: 315, lengthMin: 30 },
      ],
    },
  ],
  cycle: weekdays("day"),
};

const workshopShifts: ShiftPattern = {
  anchorDate: ANCHOR,
  shifts: [
    {
      id: "early",
      name: "Early",
      start: "06:00",
      lengthMin: 480,
      breaks: [
        { afterMin: 120, lengthMin: 10 },
        { afterMin: 240, lengthMin: 30 },
        { afterMin: 375, lengthMin: 10 },
      ],
    },
    {
      id: "late",
      name: "Late",
      start: "14:00",
      lengthMin: 480,
      breaks: [
        { afterMin: 120, lengthMin: 10 },
        { afterMin: 240, lengthMin: 30 },
        { afterMin: 375, lengthMin: 10 },
      ],
    },
  ],
  cycle: [...weekdays("late"), ...weekdays("early")],
};

/** Three weeks of 04:30 starts, then a week of nights, the last of them the one the clocks change in; a Sunday off before 04:30 again. */
const oysterShifts: ShiftPattern = {
  anchorDate: ANCHOR,
  shifts: [
    {
      id: "dawn",
      name: "Dawn",
      start: "04:30",
      lengthMin: 480,
      breaks: [
        { afterMin: 120, lengthMin: 15 },
        { afterMin: 270, lengthMin: 30 },
      ],
    },
    {
      id: "night",
      name: "Night",
      start: "22:00",
      lengthMin: 480,
      breaks: [
        { afterMin: 120, lengthMin: 15 },
        { afterMin: 270, lengthMin: 30 },
        { afterMin: 390, lengthMin: 10 },
      ],
    },
  ],
  cycle: [...weekdays("dawn"), ...weekdays("dawn"), ...weekdays("dawn"), "night", "night", "night", "night", null, "night", null],
};

/** When the baths are open; days are what is booked. */
const spaShifts: ShiftPattern = {
  anchorDate: ANCHOR,
  shifts: [
    {
      id: "open",
      name: "Open",
      start: "09:30",
      lengthMin: 630,
      breaks: [],
    },
  ],
  cycle: [null, "open", "open", "open", "open", "open", null],
};

export interface DemoCrew {
  key: "roof" | "workshop" | "oyster" | "spa";
  crew: Crew;
  badgePrefix: string;
  people: readonly string[];
}

/** On holiday, first and last day; back on the demo's own day. */
export const DEMO_AWAY: Readonly<Record<string, { from: string; until: string }>> = {
  "Lorcan Dray": { from: "2026-03-07", until: "2026-03-25" },
};

/** A crew in which several languages are read; who is not named reads what the crew does. */
export const DEMO_LANGUAGES: Readonly<Record<string, Language>> = {
  "Abel Corrie": "es",
  "Dagny Fell": "es",
  "Hanne Joyner": "es",
  "Jonna Larkin": "es",
  "Liv Norcott": "pl",
  "Kaspar Mewes": "pl",
  "Birgit Saltmere": "de",
  "Idris Kettle": "ar",
};

export const DEMO_CREWS: readonly DemoCrew[] = [
  {
    key: "roof",
    badgePrefix: "SL",
    crew: {
      name: "Ridgeline slate crew",
      trade: "Slate roofing",
      place: "Hollin Yard, north gate",
      timeZone: TIME_ZONE,
      settings: ["any", "wall"],
      conditions: ["gloves", "shoes", "cold", "noChairs"],
      slots: { preShift: 480, break: 180, postShift: 840 },
      kit: [
        { kind: "hammer", massKg: 0.7, count: 12 },
        { kind: "band", massKg: null, count: 12 },
        { kind: "towel", massKg: null, count: 6 },
      ],
      mostOffJob: 12,
      language: null,
      shiftPattern: roofShifts,
    },
    people: [
      "Aron Thistlewood",
      "Bram Okonjo",
      "Cathal Emberley",
      "Dessa Quill",
      "Edda Marrow",
      "Fintan Ashgrove",
      "Goran Pellwick",
      "Hale Birchmore",
      "Ives Tarrant",
      "Jory Wendle",
      "Kester Lowfield",
      "Lorcan Dray",
    ],
  },
  {
    key: "workshop",
    badgePrefix: "UP",
    crew: {
      name: "Tansy Lane upholstery",
      trade: "Upholstery",
      place: "Tansy Lane 4, sewing hall",
      timeZone: TIME_ZONE,
      settings: ["any", "table", "wall", "floor"],
      conditions: [],
      slots: { preShift: 480, break: 180, postShift: 840 },
      kit: [
        { kind: "dumbbell", massKg: 0.5, count: 6 },
        { kind: "dumbbell", massKg: 1, count: 8 },
        { kind: "dumbbell", massKg: 1.5, count: 4 },
        { kind: "band", massKg: null, count: 12 },
        { kind: "ball", massKg: null, count: 11 },
        { kind: "dowel", massKg: 0.45, count: 5 },
      ],
      mostOffJob: 6,
      language: null,
      shiftPattern: workshopShifts,
    },
    people: [
      "Mirela Fennick",
      "Nuala Stroud",
      "Oskar Hemsby",
      "Petra Lindqvale",
      "Quentin Sorley",
      "Rhona Baptish",
      "Selma Arkwell",
      "Tomas Verity",
      "Ulla Crane",
      "Viggo Marsh",
      "Wenna Polder",
    ],
  },
  {
    key: "oyster",
    badgePrefix: "OY",
    crew: {
      name: "Saltmarsh oyster line",
      trade: "Oyster shucking",
      place: "Saltmarsh quay, line 2",
      timeZone: TIME_ZONE,
      settings: ["any", "table"],
      conditions: ["gloves", "wet", "cold", "noChairs"],
      slots: { preShift: 360, break: 180, postShift: 480 },
      kit: [
        { kind: "band", massKg: null, count: 8 },
        { kind: "ball", massKg: null, count: 8 },
        { kind: "bottle", massKg: 1, count: 8 },
      ],
      mostOffJob: 5,
      language: null,
      shiftPattern: oysterShifts,
    },
    people: [
      "Abel Corrie",
      "Birgit Saltmere",
      "Conor Dunmoor",
      "Dagny Fell",
      "Emlyn Garrod",
      "Freya Holloway",
      "Gethin Inskip",
      "Hanne Joyner",
      "Idris Kettle",
      "Jonna Larkin",
      "Kaspar Mewes",
      "Liv Norcott",
      "Manus Orrell",
      "Nessa Prowse",
    ],
  },
  {
    key: "spa",
    badgePrefix: "SP",
    crew: {
      name: "Stillwater massage team",
      trade: "Massage therapy",
      place: "Stillwater baths, upper floor",
      timeZone: TIME_ZONE,
      settings: ["any", "table", "wall", "floor"],
      conditions: [],
      byBookings: true,
      slots: { preShift: 420, break: 240, postShift: 480 },
      kit: [
        { kind: "ball", massKg: null, count: 6 },
        { kind: "roller", massKg: null, count: 3 },
        { kind: "dumbbell", massKg: 1, count: 4 },
        { kind: "band", massKg: null, count: 9 },
      ],
      mostOffJob: 3,
      language: null,
      shiftPattern: spaShifts,
    },
    people: [
      "Orla Pemberley",
      "Pia Renwick",
      "Romy Sandoval-Hythe",
      "Suvi Tarn",
      "Tindra Usher",
      "Una Vantage",
      "Wilma Yarrow",
      "Ximena Zell",
      "Ysolde Ambry",
    ],
  },
];
