import { formatLength, setHouseMeasures } from "@/core/units";
import { stored } from "./api/stored";
import "./requestMeasures";

const wait = () => new Promise((resolve) => setTimeout(resolve, 1));

test("a page in inches never changes what the API says: not after it, not beside it, not in the middle of an answer", async () => {
  const page = async () => {
    setHouseMeasures({ lengthUnit: "inch", massUnit: "ounce" });
    await wait();
    return formatLength(100);
  };
  const route = stored(async () => {
    const said = [formatLength(100)];
    for (let i = 0; i < 3; i++) {
      await wait();
      said.push(formatLength(100));
    }
    return Response.json(said);
  });
  const ask = async () =>
    (await (await route(new Request("http://localhost/api/v1/days"))).json()) as string[];
  const [inPage, beside, again] = await Promise.all([page(), ask(), page(), ask()]).then(
    ([first, second, , fourth]) => [first, second, fourth] as const,
  );
  expect(inPage).toContain("in");
  for (const said of [beside, again, await ask()]) expect(new Set(said)).toEqual(new Set(["100 mm"]));
});
