import { because } from "../result";
import { inHouse } from "../units";
import { withArticle } from "./say";
import { engineWords, sayFailure, tellFailure, type EngineFailure } from ".";

const disc = { kind: "disc", diameterMm: 90 } as const;
const box = { widthMm: 300.4, heightMm: 200.6 };

/** Every case that an engine knows, with figures as it meets them, and how it reads in the kitchen. */
const cases: readonly (readonly [EngineFailure, string])[] = [
  [because("noNumberTyped", {}), "Enter a number."],
  [because("numberTooLong", { shown: "123456789012…" }), "“123456789012…” is too long for a number."],
  [because("doubtfulComma", { shown: "1,000" }), "“1,000” could be 1000 or 1.000: write one of them."],
  [because("notANumber", { shown: "ten" }), "“ten” is not a number."],
  [because("dividesByZero", { shown: "1/0" }), "“1/0” divides by zero."],
  [because("noAmountTyped", {}), "Enter an amount."],
  [because("noNumberIn", { shown: "some" }), "“some” has no number in it."],
  [because("noAmountIn", { shown: "some" }), "“some” has no amount in it."],
  [because("unknownUnit", { shown: "glugs" }), "“glugs” is no unit known here."],
  [
    because("wrongDimension", { unit: "cup", measures: "volume", needed: "mass", known: ["g", "kg"] }),
    "cup measures volume; a mass is needed (g, kg).",
  ],
  [because("belowZero", { shown: "-5 g" }), "“-5 g” is below zero."],
  [because("rangeFalls", { low: "8", high: "6" }), "“6” is less than “8”: write the smaller amount first."],
  [
    because("noTimeOfDay", { shown: "25:00" }),
    "“25:00” is no time of the day: write it like 09:00 or 2:30 pm.",
  ],
  [
    because("noStretchOfTime", { shown: "soon" }),
    "“soon” is no stretch of time: write it like 25 min, 1 h 30 or 90 s.",
  ],
  [because("noGasMark", { shown: "gas 12" }), "“gas 12” is no gas mark: they run from ¼ to 9."],
  [because("amountOfNothing", { shown: "250 g" }), "“250 g” says how much, but not of what."],
  [
    because("unitNotWeighed", { shown: "lot" }),
    "“lot” is no unit known here. Write grams, a spoon or a cup.",
  ],
  [because("cannotWeigh", { asked: null }), "How many grams? Write grams, or add it to the ingredient book."],
  [
    because("nothingToWeigh", { formula: "Rye crust" }),
    "Rye crust has no ingredients yet. Add its lines first.",
  ],
  [
    because("noSuchLine", { formula: "Rye crust" }),
    "Rye crust has no such line. Choose one of its ingredients.",
  ],
  [because("noEggs", { formula: "Rye crust" }), "Rye crust has no eggs to make whole."],
  [because("notTogether", { times: 0 }), "“Put together” is missing: add it after what is cooked apart."],
  [
    because("tooLate", { step: "cookPart", before: "make" }),
    "“Cook apart” cannot come after “put together”. Move it above that step.",
  ],
  [
    because("nothingYet", { step: "strain" }),
    "“Strain” comes before anything is made. Move it below what it is done to.",
  ],
  [
    because("notHot", {}),
    "“Keep hot” follows what has cooled. Move it straight below “cook”, “strain” or “warm”.",
  ],
  [because("makingTooLong", { steps: 23, most: 20 }), "There are 23 steps, 3 more than 20. Take some away."],
  [because("unknownFilling", {}), "A filling of this piece is not in the book. Choose another."],
  [
    because("sharesTooLarge", { share: 1.05 }),
    "The other fillings come to 105 %: nothing is left for the main one. Lower a share.",
  ],
  [
    because("noRoom", { wholeMl: 11.26, roomMl: 10 }),
    "What is whole takes 11.3 ml of 10.0 ml: no room is left for the filling. Take fewer, or fill higher.",
  ],
  [because("noScoop", {}), "There is no scoop no. 0."],
  [
    because("noPortion", { why: because("noAmountTyped", {}) }),
    "Enter an amount. Write 25 g, 2 tbsp or scoop 40.",
  ],
  [
    because("nothingFits", { shortWidthMm: 6, shortHeightMm: 0, sheet: box, outline: disc }),
    "Not one fits: the sheet is 6 mm too narrow, ragged edge counted. " +
      "Roll a larger sheet, or take a smaller cutter.",
  ],
  [
    because("sharedOnOval", {}),
    "Two outlines share a sheet only if it is a rectangle. Roll a rectangle, or one sheet for each.",
  ],
  [
    because("noSetFits", { boxes: [{ widthMm: 90.2, heightMm: 90 }, box], usable: box }),
    "Not one set fits: 91 × 90 mm and 301 × 201 mm do not go together on 300 × 200 mm, ragged edge off. " +
      "Roll a larger sheet.",
  ],
  [
    because("cutTooLarge", {
      ...{ demandId: "d", outline: disc, marginMm: 8, overMm: 5.2 },
      ...{ needs: { widthMm: 106, heightMm: 106 }, largest: { widthMm: 100.8, heightMm: 300 } },
    }),
    "A 90 mm round cut with 8 mm ragged edge needs a sheet of 106 × 106 mm; the largest is 100 × 300 mm, 6 mm too small. " +
      "Take a smaller cutter or allow a larger sheet in Kit.",
  ],
  [
    because("noSheetHolds", {
      demandId: "d",
      why: because("nothingFits", { shortWidthMm: 6, shortHeightMm: 2, sheet: box, outline: disc }),
    }),
    "Not one fits: the sheet is 6 mm too narrow and 2 mm too low, ragged edge counted. " +
      "Roll a larger sheet, or take a smaller cutter.",
  ],
  [
    because("tooLargeForTray", { widthMm: 700.2, depthMm: 500, spacingMm: 20 }),
    "Not one piece of 701 × 500 mm fits the tray with 20 mm round it. " +
      "Bring the pieces closer or take a larger tray in Kit.",
  ],
  [
    because("ovenBelowDone", { ovenC: 80, doneC: 96 }),
    "An oven of 80 °C never brings a core to 96 °C. Heat it above that.",
  ],
  [
    because("neverDone", { withinMin: 360, doneC: 96 }),
    "Within 6 hours its core does not come to 96 °C. Make it thinner, or the oven hotter.",
  ],
  [
    because("knownTooQuick", { tookMin: 2, doneC: 96 }),
    "Even at the fiercest heat its core takes longer than 2 min to 96 °C. " +
      "Correct the minutes, the thickness or the temperature at which it was done.",
  ],
  [
    because("knownTooSlow", { tookMin: 400, doneC: 96 }),
    "At any heat its core is at 96 °C long before 400 min. Correct one of them.",
  ],
  [
    because("neverHot", { heaterW: 400, oilKg: 3, steadyC: 143.4, setC: 180 }),
    "A heater of 400 W holds 3 kg of oil at 143 °C at most, 37 below 180. " +
      "Fry in less oil, or at a stronger fire.",
  ],
  [
    because("notOilHeat", { jPerKgK: 900.4, least: 1500, most: 4000, oilKg: 3, heaterW: 2000 }),
    "These two times make 900 J/kg K of 3 kg of oil, 600 less than oil in a pan can have. " +
      "Take both times again, and see that 2000 W is what the heater draws.",
  ],
  [
    because("notOilLoss", { wPerKgK: 6.5, least: 0.1, most: 6, heaterW: 2000 }),
    "These two times make it lose 6.50 W/K for each kilogram of oil, 0.50 more than a pan can. " +
      "Take both times again, and see that 2000 W is what the heater draws.",
  ],
  [
    because("wrongOutline", { form: "triangle", cut: disc, isOval: false }),
    "A 90 mm round blank cannot be folded to a triangle. Choose another cut, or another form.",
  ],
  [
    because("layersNotLevel", { form: "halfMoon" }),
    "Layers lie level only in a mould; a half-moon holds them beside each other. " +
      "Give a share of the room instead.",
  ],
  [
    because("layersTooHigh", { layersMm: 14, levelMm: 12.5 }),
    "The layers below are 14 mm high and the filling stands at 12.5 mm: nothing is left for it. " +
      "Make them 1.5 mm lower, or fill higher.",
  ],
  [
    because("foldMarginTooWide", { marginMm: 65, depthMm: 60, overMm: 5, mostMm: 60 }),
    "A margin of 65 mm leaves nothing to fill: the folded blank is 60 mm deep, 5 mm too little. " +
      "Keep the margin below 60 mm or take a larger blank.",
  ],
  [
    because("noRoomInFold", { wallMm: 31, depthMm: 47.4, mostMm: 30.2 }),
    "Dough of 31 mm leaves no room inside: the fold has 47 mm inside the margin. " +
      "Roll it below 30.2 mm or take a larger blank.",
  ],
  [
    because("largeFoldTooSmall", { marginMm: 70, depthMm: 60 }),
    "A margin of 70 mm leaves nothing to fill: folded, the round is 60 mm deep. " +
      "Take a larger round or a narrower margin.",
  ],
  [
    because("spreadTooThick", { spreadMm: 50, mostMm: 42.1 }),
    "Spread 50 mm thick, the dough does not close over it: at most 42 mm, 8 mm less. " +
      "Spread thinner or take a larger round.",
  ],
  [
    because("heapMarginTooWide", { marginMm: 40, baseMm: 70, overMm: 5 }),
    "A margin of 40 mm leaves nothing to fill on a base that settles to 70 mm, 5 mm too little on each side. " +
      "Keep it below 35 mm or take a larger base.",
  ],
  [
    because("topTooSmall", { underMm: 6, oversizeMm: 9.5 }),
    "The top is smaller than the base by 6 mm: it does not even reach the rim. " +
      "Cut it 9.5 mm larger than the base for this plumpness.",
  ],
  [
    because("stickTooShort", { lengthMm: 60, insideMm: 45, gripMm: 50 }),
    "The stick is 60 mm; 45 mm lie in the piece and 50 mm are wanted to hold it by, 35 mm more. " +
      "Take sticks of 95 mm.",
  ],
  [
    because("stickShows", { coverMm: 2.4, stickMm: 4 }),
    "At the stick’s tip the filling is 2.4 mm deep and the stick 4 mm thick: it shows. " +
      "Fill plumper, or take a thinner stick.",
  ],
  [
    because("footTooWide", { footMm: 60, fruitMm: 58 }),
    "The flat below is 60 mm across and the fruit only 58 mm. Trim less off.",
  ],
  [
    because("coreTooWide", { coreMm: 31, fruitMm: 50, mostMm: 30 }),
    "A core of 31 mm leaves too little of a fruit 50 mm across: it falls apart. " +
      "Core it at most 30 mm wide, 1 mm less.",
  ],
  [
    because("squareTooSmall", { sideMm: 100, neededMm: 143.5, fruitMm: 58, fruitHeightMm: 66 }),
    "The square must be 143.5 mm for its corners to meet over this fruit, 58 mm across and 66 mm high; " +
      "yours is 100 mm, 43.5 mm short. Cut it larger or take smaller fruit.",
  ],
  [
    because("roundTooSmall", { roundMm: 60, neededMm: 81, hasGuideRing: true }),
    "A round of 60 mm does not close over anything: margin, dough and the guide ring alone take 81 mm, 21 mm more. " +
      "Take a larger round.",
  ],
  [
    because("rolledTooSmall", { gatheredMm: 42, acrossMm: 30 }),
    "Gathered, it is 42 mm across before it is rolled; 30 mm is 12 mm less. " +
      "Roll it wider, or take a smaller round.",
  ],
  [
    because("topTooThin", { acrossMm: 150, topMm: 0.84, leastMm: 1.5, widestMm: 96.4 }),
    "After rolling to 150 mm the top is 0.8 mm thick: below 1.5 mm it will burst. " +
      "Roll it to at most 96 mm, or roll the round thicker.",
  ],
  [
    because("flutesTooDeep", { fluteMm: 30, baseMm: 50 }),
    "Flutes of 30 mm leave nothing of a base 50 mm across. " +
      "They are at most 25 mm deep: measure them from crest to valley.",
  ],
  [
    because("liningTooSmall", { cutsMm: [70, 50], neededMm: [110, 90], wallMm: 0.9, leastWallMm: 1.5 }),
    "The mould needs an oval of 110 × 90 mm to be lined to its rim; yours is 70 × 50 mm, and pressed up to the rim it " +
      "comes to 0.9 mm, which tears below 1.5 mm. Cut it larger or roll it thicker.",
  ],
  [
    because("noRoomInMould", { wallMm: 26, depthMm: 25, baseMm: 50 }),
    "Lined 26 mm thick nothing is left inside a mould 25 mm deep and 50 mm across its base. Roll it thinner.",
  ],
  [
    because("toppingTooWide", { overMm: 4, mostMm: 71 }),
    "The cut-out is 4 mm wider than the rim. Take one of at most 71 mm.",
  ],
  [
    because("holeTooWide", { holeMm: 64.2, roundMm: 80, wallMm: 7.9, leastWallMm: 8 }),
    "A 64.2 mm centre leaves a wall of 7.9 mm in an 80 mm round; below 8 mm it falls over. " +
      "Take a centre of at most 64 mm.",
  ],
  [
    because("tooLargeForCavity", { stripMm: 300, rolledMm: 53.5, cavityMm: 50, mostStripMm: 262 }),
    "Rolled up, a 300 mm strip is 54 mm across; the cavity is 50 mm, 4 mm too small. " +
      "Cut it at most 262 mm long, or roll it thinner.",
  ],
  [
    because("pressNotReached", { pressMm: 110, settledMm: 105, neededMm: 115.5 }),
    "The press is 110 mm across and the round settles to 105 mm: its edge is not caught, 5 mm short. " +
      "Cut it 115.5 mm or more.",
  ],
  [
    because("pressedUp", { cutsMm: [88.5], neededMm: [108.5], shortMm: 9.6, wallMm: 3.2, rolledMm: 4.25 }),
    "its 88.5 mm round stops 9.6 mm below the rim; pressed up by hand the wall comes to 3.2 mm instead of 4.3. " +
      "It lines without pressing from 108.5 mm.",
  ],
  [
    because("cornersShort", { overlapMm: 3, askedMm: 14, gapMm: 6, sideMm: 150, wantedMm: 158 }),
    "its corners meet with 3 mm over each other instead of 14, and between them the fruit shows up to 6 mm wide. " +
      "Pinch well, or cut the square 158 mm, 8 mm larger.",
  ],
  [
    because("marginTooNarrow", { crimp: "Rope", needsMm: 12, marginMm: 9.5, shortMm: 2.5 }),
    "Rope needs 12 mm of clean rim; the margin is 9.5 mm, 2.5 mm short. Widen the margin or choose another crimp.",
  ],
  [
    because("pathTooLong", { characters: 1_000_000, most: 200_000 }),
    "This outline is 1,000,000 characters long, the most is 200,000. Simplify it in the drawing program.",
  ],
  [because("pathUnreadable", { reported: "bad command" }), "This is not SVG path data: bad command."],
  [because("pathEmpty", {}), "This path draws nothing. Export one closed outline."],
  [because("pathEnclosesNothing", {}), "This outline encloses nothing. Draw a closed shape."],
  [
    because("severalLines", { lines: 2 }),
    "This path holds 2 separate lines; a cutter has one. Export the outer one alone.",
  ],
  [
    because("pathOpen", { openMm: 70.71 }),
    "This outline is open: its ends are 70.7 mm apart. Close the path.",
  ],
  [
    because("outlineSize", { widthMm: 9000, heightMm: 90, leastMm: 5, mostMm: 1500 }),
    "This outline is 9000 × 90 mm; a cut is between 5 and 1500 mm. The numbers are read as millimetres.",
  ],
  [
    because("outlineTooFine", { corners: 800, most: 600 }),
    "This outline has 800 corners, the most is 600. Simplify it.",
  ],
  [because("outlineCrosses", {}), "This outline crosses itself. A cutter cannot: pull the loop apart."],
  [
    because("tooEarly", { later: "fill", earlier: "line" }),
    "“Fill” cannot come before “press into the mould”. Move it below that step.",
  ],
  [
    because("noOpenDoor", { step: "coat", isBetweenHeats: true }),
    "“Second coat” is done at the oven's door, between two heats. Put a heat before it and one after it.",
  ],
  [
    because("missing", { step: "bake" }),
    "“Bake” is missing: this piece cannot be made without it. Add that step.",
  ],
  [
    because("twice", { step: "close", times: 3 }),
    "“Close and crimp” stands 3 times. A piece has it once: take 2 away.",
  ],
  [
    because("afterSetOut", { step: "cool" }),
    "“Cool” comes after the piece was set out. Move it above “set out”.",
  ],
  [
    because("weightsStayIn", {}),
    "The weights would stay in the piece. Put “weights out” after its heat, before anything is filled in.",
  ],
  [
    because("bakedAndFried", {}),
    "A piece goes into the oven or into oil, not both. Take one of the two heats away.",
  ],
  [because("wayTooLong", { steps: 42, most: 40 }), "The way has 42 steps, 2 more than 40. Take some away."],
];

test("every case that an engine knows is in this table", () => {
  expect(cases.map(([{ code }]) => code).toSorted()).toEqual(Object.keys(engineWords).toSorted());
});

test.each(cases.map(([failure, words]) => [failure.code, failure, words] as const))(
  "%s says what is wrong, by how much, and what to do",
  (_, failure, words) => {
    expect(sayFailure(failure)).toBe(words);
  },
);

/** What somebody typed is told as it was typed. */
const isTyped = ({ figures }: EngineFailure) => ["shown", "low", "unit"].some((part) => part in figures);

test("a house of inches and ounces is told no millimetre and no gram, but of what it typed itself", () => {
  const told = inHouse({ lengthUnit: "inch", massUnit: "ounce" }, () =>
    cases.filter(([failure]) => !isTyped(failure)).map(([failure]) => sayFailure(failure)),
  );
  expect(told.filter((words) => /\d ?(mm|cm|g|kg)\b(?!\/)/.test(words))).toEqual([]);
  expect(told.filter((words) => / in\b(?!side| the| it| a| Kit)/.test(words)).length).toBeGreaterThan(30);
});

test("what mends a thing stands apart from what is wrong with it", () => {
  const said = tellFailure(because("toppingTooWide", { overMm: 4, mostMm: 71 }));
  expect(said).toEqual({
    message: "The cut-out is 4 mm wider than the rim.",
    remedy: "Take one of at most 71 mm.",
  });
  expect(tellFailure(because("noEggs", { formula: "Rye crust" })).remedy).toBe("");
});

test.each([
  [false, [0, 0], "is too narrow at its ends for a 90 mm round"],
  [true, [12.4, 3], "12 mm too narrow and 3 mm too low"],
] as const)("a cut that a sheet lacks room for, short of a side (%s): %p", (_, [width, height], words) => {
  const sheet = { ...box, shape: "oval" } as const;
  const figures = { shortWidthMm: width, shortHeightMm: height, sheet, outline: disc };
  expect(sayFailure(because("nothingFits", figures))).toContain(words);
});

test.each([
  ["lidded", false, "A lidded piece has a round, oval, square or rectangular base, not a 90 mm round."],
  ["wrapped", false, "A fruit is wrapped in a square, not a 90 mm round."],
  ["gathered", false, "A gathered piece is drawn up from a round, not a 90 mm round."],
  ["lined", true, "An oval mould is lined with an oval, not a 90 mm round."],
  ["puck", false, "A round mould is lined with a round, not a 90 mm round."],
  ["case", false, "A case is cut round, not a 90 mm round."],
  ["rosette", false, "A rosette is rolled from a strip, not a 90 mm round."],
  ["largeFold", false, "A large fold is made of one round, not a 90 mm round."],
  ["pressed", false, "A press closes a round, not a 90 mm round."],
] as const)("a %s says what it is cut from", (form, isOval, words) => {
  expect(tellFailure(because("wrongOutline", { form, cut: disc, isOval })).message).toBe(words);
});

test.each([
  ["80 mm round", "an 80 mm round"],
  ["18 mm round", "an 18 mm round"],
  ["110 mm round", "a 110 mm round"],
  ["180 mm round", "a 180 mm round"],
  ["11 × 9 mm oval", "an 11 × 9 mm oval"],
  ["90 mm round", "a 90 mm round"],
])("the article of %s is that of its number as it is spoken", (size, words) => {
  expect(withArticle(size)).toBe(words);
});
