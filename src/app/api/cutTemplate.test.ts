import Database from "better-sqlite3";
import { firstKitchen } from "@/schemas/firstKitchen";
import { POST } from "./cut-template/route";

const readKitchen = jest.fn();
jest.mock("@/data/getStore", () => ({ getStore: () => ({ readKitchen }) }));

const ask = () =>
  POST(
    new Request("http://127.0.0.1/api/cut-template", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({
        title: "Half-moons",
        sheet: { shape: "rectangle", widthMm: 200, heightMm: 150 },
        parts: [
          { outline: { kind: "disc", diameterMm: 90 }, placements: [{ xMm: 60, yMm: 60, angleDeg: 0 }] },
        ],
        form: "svg",
        paper: "a4",
      }),
    }),
  );

test("a template is told in the measures of its house", async () => {
  readKitchen.mockReturnValue({ kitchen: { ...firstKitchen, lengthUnit: "inch" } });
  expect(await (await ask()).text()).toContain(">3 15/16 in · Half-moons<");
  readKitchen.mockReturnValue({ kitchen: null });
  expect(await (await ask()).text()).toContain(">100 mm · Half-moons<");
});

test("where the file is ill that is said, with what to do and when to ask again", async () => {
  readKitchen.mockImplementation(() => {
    throw new Database.SqliteError("malformed", "SQLITE_CORRUPT");
  });
  const answer = await ask();
  expect([answer.status, Number(answer.headers.get("retry-after")) > 0]).toEqual([503, true]);
  const { faults } = (await answer.json()) as { faults: { message: string }[] };
  expect(faults[0]!.message).toMatch(/\. \S/);
});
