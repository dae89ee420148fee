import { mkdtempSync, readdirSync, copyFileSync, mkdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import fc from "fast-check";
import type { PieceForm } from "@/core/forming";
import { toWay, type FormerWay } from "@/core/way";
import { MIGRATIONS } from "./__tests__/testStore";
import { openDatabase } from "./openDatabase";

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-ways-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const forms: readonly {
  readonly form: PieceForm["kind"];
  readonly topping?: "open" | "lid" | "cutOut";
  readonly hasStick?: boolean;
}[] = [
  { form: "halfMoon" },
  { form: "largeFold" },
  { form: "lidded" },
  { form: "lidded", hasStick: true },
  { form: "wrapped" },
  { form: "gathered" },
  { form: "lined", topping: "open" },
  { form: "lined", topping: "lid" },
  { form: "lined", topping: "cutOut" },
  { form: "case" },
  { form: "rosette" },
  { form: "puck" },
  { form: "pressed" },
];

/** A piece of the sixth version, in the fields that its way follows from. */
interface FormerPiece extends Omit<FormerWay, "form" | "extras"> {
  readonly shape: (typeof forms)[number];
  readonly hasSauce: boolean;
  readonly hasNuts: boolean;
}

const minutes = fc.integer({ min: 0, max: 90 });
const acts = ["none", "turn", "weightsOut", "pressDown", "fill"] as const;
const formerPiece: fc.Arbitrary<FormerPiece> = fc.record({
  shape: fc.constantFrom(...forms),
  heatBy: fc.constantFrom("oven" as const, "oil" as const),
  stages: fc.array(
    fc.record({
      ovenC: fc.integer({ min: 150, max: 240 }),
      minutes: fc.integer({ min: 3, max: 40 }),
      act: fc.constantFrom(...acts),
    }),
    { minLength: 1, maxLength: 4 },
  ),
  chillMin: minutes,
  coolMin: minutes,
  unmould: fc.option(
    fc.record({ fromMin: minutes, untilMin: fc.option(fc.integer({ min: 90, max: 200 }), { nil: null }) }),
    { nil: null },
  ),
  wash: fc.record({
    kind: fc.constantFrom("none" as const, "egg" as const),
    coats: fc.constant(1),
    sugar: fc.constantFrom("none" as const, "before" as const, "after" as const),
  }),
  vents: fc.constantFrom({ kind: "none" as const, count: 0 }, { kind: "slits" as const, count: 2 }),
  glaze: fc.record({ kind: fc.constantFrom("none" as const, "icing" as const), dryMin: minutes }),
  hasSauce: fc.boolean(),
  hasNuts: fc.boolean(),
});

/** The figures that each form asks of its columns. */
function writeFormer(db: Database.Database, id: string, piece: FormerPiece) {
  const { shape, wash, vents, unmould, glaze } = piece;
  const columns: Record<string, string | number | null> = {
    id,
    name: id,
    form: shape.form,
    topping: shape.topping ?? null,
    topping_kind: shape.topping === "cutOut" ? "disc" : null,
    topping_width_mm: shape.topping === "cutOut" ? 20 : null,
    topping_height_mm: shape.topping === "cutOut" ? 20 : null,
    stick_length_mm: shape.hasStick ? 120 : null,
    stick_thickness_mm: shape.hasStick ? 4 : null,
    mould_kind: shape.form === "lined" || shape.form === "puck" ? "round" : null,
    cut_kind: "disc",
    cut_width_mm: 100,
    cut_height_mm: 100,
    dough_id: "crust",
    filling_id: "jam",
    thickness_mm: 3,
    margin_mm: 10,
    plumpness: 0.5,
    crimp: "pinched",
    glue: "water",
    vent_kind: vents.kind,
    vent_count: vents.count,
    wash_kind: wash.kind,
    wash_coats: wash.coats,
    wash_sugar: wash.sugar,
    tin: "bare",
    heat_by: piece.heatBy,
    unmould_from_min: unmould?.fromMin ?? null,
    unmould_until_min: unmould?.untilMin ?? null,
    glaze: glaze.kind,
    glaze_dry_min: glaze.dryMin,
    web_mm: 1,
    ragged_mm: 8,
    cut_aim: "leastDough",
    spares: 0,
    chill_min: piece.chillMin,
    bake_loss_share: 0.1,
    spacing_mm: 20,
    cool_min: piece.coolMin,
    version: 1,
  };
  const names = Object.keys(columns);
  db.prepare(
    `INSERT INTO piece (${names.join(", ")}) VALUES (${names.map((name) => `@${name}`).join(", ")})`,
  ).run(columns);
  piece.stages.forEach(({ ovenC, minutes: each, act }, position) =>
    db.prepare("INSERT INTO piece_stage VALUES (?, ?, ?, ?, ?)").run(id, position, ovenC, each, act),
  );
  const extra = db.prepare(
    "INSERT INTO piece_extra (piece_id, position, kind, filling_id, each_g, per_pan, name, count, g_per_ml) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)",
  );
  if (piece.hasSauce) extra.run(id, 0, "sauce", "jam", 30, 6, null, null, null);
  if (piece.hasNuts) extra.run(id, 1, "inclusion", null, 1, null, "nuts", 3, 1);
}

test("a piece of an old file gets the way that its figures meant, whatever they were", () => {
  const pieces = fc.sample(formerPiece, { numRuns: 300, seed: 12 });
  const sixth = path.join(folder, "migrations");
  mkdirSync(sixth);
  for (const name of readdirSync(MIGRATIONS).filter((each) => each < "0007"))
    copyFileSync(path.join(MIGRATIONS, name), path.join(sixth, name));
  const file = path.join(folder, "old.db");
  const old = openDatabase(file, sixth);
  old.pragma("foreign_keys = OFF");
  old.exec(
    `INSERT INTO formula (id, kind, name, density_g_per_ml, mix_min, rest_min, version) VALUES
       ('crust', 'dough', 'Crust', 1.2, 10, 30, 1);
     INSERT INTO formula (id, kind, name, density_g_per_ml, mix_min, rest_min, version) VALUES
       ('jam', 'filling', 'Jam', 1.3, 10, 0, 1);`,
  );
  pieces.forEach((piece, i) => writeFormer(old, `p-${i}`, piece));
  old.close();
  openDatabase(file, MIGRATIONS).close();
  const db = new Database(file, { readonly: true });
  const steps = db.prepare<
    [string],
    { kind: string; heat_c: number | null; minutes: number; most_wait_min: number | null; step_key: string }
  >(
    "SELECT kind, heat_c, minutes, most_wait_min, step_key FROM piece_step WHERE piece_id = ? ORDER BY position",
  );
  pieces.forEach((piece, i) => {
    const form = {
      kind: piece.shape.form,
      topping: { kind: piece.shape.topping },
      stick: piece.shape.hasStick ? {} : null,
    };
    const way = toWay({
      ...piece,
      form: form as unknown as PieceForm,
      extras: [
        ...(piece.hasSauce ? [{ kind: "sauce" as const }] : []),
        ...(piece.hasNuts ? [{ kind: "inclusion" as const }] : []),
      ],
    });
    const wanted = way.map(({ kind, heatC, minutes: each, mostWaitMin }) => [kind, heatC, each, mostWaitMin]);
    const got = steps
      .all(`p-${i}`)
      .map(({ kind, heat_c, minutes: each, most_wait_min }) => [kind, heat_c, each, most_wait_min]);
    expect([i, got]).toEqual([i, wanted]);
  });
  db.close();
});
