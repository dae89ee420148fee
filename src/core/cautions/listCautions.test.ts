import { listCautions, type CautionFacts } from ".";

const plain: CautionFacts = {
  form: "halfMoon",
  hasStick: false,
  fillings: [],
  hasSauce: false,
  glue: "water",
  wash: "none",
  hasWeights: false,
  oil: null,
  isKept: false,
};
const stationsOf = (over: Partial<CautionFacts>) =>
  listCautions({ ...plain, ...over }).map(({ station, text }) => `${station}: ${text}`);

test.each([
  ["a stick", { hasStick: true }, /^seal: .*small children/],
  ["egg for glue", { glue: "white" }, /^seal: Raw egg/],
  ["egg in the wash", { wash: "eggMilk" }, /^seal: Raw egg/],
  ["a wrapped fruit", { form: "wrapped" }, /^fill: Corer/],
  ["thin slices", { form: "rosette" }, /^fill: .*guard/],
  ["syrup poured around", { hasSauce: true }, /^fill: Hot syrup/],
  ["hot oil", { oil: { levelMm: 87.2, mostMm: 110 } }, /^bake: Hot oil.*87 mm, never above 110/],
  ["shared oil", { oil: { levelMm: 87, mostMm: 110 } }, /^bake: .*allergens/],
  ["what is kept", { isKept: true }, /^cool: .*use-by.*75 °C/],
  ["blind-baking weights", { hasWeights: true }, /^bake: .*count/],
] as const)("%s has its caution at its step, and a plain piece does not", (_name, over, words) => {
  expect(stationsOf(over)).toContainEqual(expect.stringMatching(words));
  expect(stationsOf({})).not.toContainEqual(expect.stringMatching(words));
});
