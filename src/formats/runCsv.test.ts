import Papa from "papaparse";
import type { RecordRow, RunRecord } from "@/core/run";
import { toRunCsv } from ".";

const row = (over: object): RecordRow =>
  ({
    job: { title: "Fill Moon", about: "12 × Moon", pieces: 12, person: 0 },
    plannedStartMin: 390,
    plannedEndMin: 398,
    begunMin: 391.5,
    doneMin: 402,
    tookMin: 10.5,
    person: 1,
    moreMin: 2,
    mishaps: [{ mishap: "torn", count: 2, word: "at the fold" }],
    measured: [{ measure: "massG", value: 24.5, atMin: 395 }],
    notes: [],
    ...over,
  }) as unknown as RecordRow;

test("a record as a table: read back it says the same, and no cell is run as a formula", () => {
  const csv = toRunCsv({
    rows: [row({}), row({ begunMin: null, doneMin: null, tookMin: null, person: null, notes: ["=SUM(A1)"] })],
  } as unknown as RunRecord);
  const { data, errors } = Papa.parse<Record<string, string>>(csv, { header: true });
  expect(errors).toEqual([]);
  expect(data[0]).toMatchObject({
    job: "Fill Moon",
    who: "helper",
    "planned from": "06:30",
    from: "06:32",
    until: "06:42",
    "took min": "10.5",
    "went wrong": "2 torn at the fold",
    readings: "06:35 massG 24.5",
  });
  expect(data[1]).toMatchObject({ who: "baker", from: "", until: "", "took min": "", words: "'=SUM(A1)" });
});
