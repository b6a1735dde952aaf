import { cardToken } from "./card-token";

it.each([
  ["https://hands.example/me/sign-in#card=abcdefghijklmnopqrstuvwxyz_-0123", "abcdefghijklmnopqrstuvwxyz_-0123"],
  ["http://127.0.0.1:4400/me/sign-in#card=abcdefghijklmnopqrstuvwxyz012345", "abcdefghijklmnopqrstuvwxyz012345"],
  ["https://hands.example/me/sign-in#card=short", null],
  ["https://hands.example/", null],
  ["abcdefghijklmnopqrstuvwxyz012345", null],
  ["", null],
])("out of %p: %p", (scanned, token) => expect(cardToken(scanned)).toBe(token));
