import { areSimilarNames } from ".";

it.each([
  ["Zofia Lis", "Zofia Lis"],
  ["Zofia Lis", "lis, zofia"],
  ["Jörn Östberg", "Jorn Ostberg"],
  ["Mats Berg-Holm", "Mats Berg Holm"],
  ["Anna Maria Tell", "Anna Tell"],
  ["A. Tell", "Anna Tell"],
  ["Katarina Holm", "Katharina Holm"],
  ["Konstantin Ravel", "Constantin Rawel"],
])("%s may be %s", (a, b) => expect([areSimilarNames(a, b), areSimilarNames(b, a)]).toEqual([true, true]));

it.each([
  ["Zofia Lis", "Zofia Las Palmas"],
  ["Anna Tell", "Hanna Keller"],
  ["Ida Lo", "Eda Lo"],
  ["Worker 12", "Worker 13"],
  ["Anna", "Anna Tell"],
  ["", "Anna"],
])("%s is not %s", (a, b) => expect([areSimilarNames(a, b), areSimilarNames(b, a)]).toEqual([false, false]));
