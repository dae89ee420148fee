import { createMemory, createRecordMemory } from "./createMemory";

test("an answer is worked out once for each key, and the oldest is forgotten first", () => {
  const remember = createMemory<number>(2);
  const work = jest.fn((n: number) => n * n);
  const square = (n: number) => remember(String(n), () => work(n));
  expect([square(2), square(3), square(2)]).toEqual([4, 9, 4]);
  expect(work).toHaveBeenCalledTimes(2);
  square(4);
  square(2);
  expect(work).toHaveBeenCalledTimes(4);
});

test("a record's answer stands while it and all it was worked out from are the same, whatever lists hold them", () => {
  const remember = createRecordMemory<object, number>();
  const [piece, dough, lot] = [{}, {}, {}];
  let times = 0;
  const ask = (record: object, from: readonly object[]) => remember(record, from, () => ++times);
  expect([ask(piece, [dough, lot]), ask(piece, [dough, lot])]).toEqual([1, 1]);
  expect(ask({ ...piece }, [dough, lot])).toBe(2);
  expect(ask(piece, [{ ...dough }, lot])).toBe(3);
  expect(ask(piece, [dough])).toBe(4);
  // Only the last is kept.
  expect(ask(piece, [dough, lot])).toBe(5);
});
