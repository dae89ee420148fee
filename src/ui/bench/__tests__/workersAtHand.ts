import type * as Cutting from "@/core/cutting";
import type * as Heat from "@/core/heat";
import type * as Plan from "@/core/plan";
import type * as PlanClients from "@/workers/createPlanClient";
import type { LatestClient } from "@/workers/createLatestClient";
import type { BakeRequest } from "@/workers/heatWorker";

/** What a worker would work out, worked out by the real engine in the test's own thread. Import it before the screen. */
function mockAtHand<In, Out>(answer: (input: In) => Out): () => LatestClient<In, Out> {
  return () => ({ run: (input) => Promise.resolve(answer(input)), close: () => {} });
}

jest.mock("@/workers/createCutClient", () => {
  const { tabulateYield } = jest.requireActual<typeof Cutting>("@/core/cutting");
  return { createYieldClient: mockAtHand(tabulateYield) };
});
jest.mock("@/workers/createHeatClient", () => {
  const heat = jest.requireActual<typeof Heat>("@/core/heat");
  return {
    createHeatClient: mockAtHand(heat.computeReadiness),
    createBakeClient: mockAtHand(({ known, other }: BakeRequest) => heat.scaleBake(known, other)),
    createCoolingClient: mockAtHand(heat.coolPiece),
    createChillClient: mockAtHand(heat.chillPiece),
  };
});
jest.mock("@/workers/createPlanClient", () => {
  const plan = jest.requireActual<typeof Plan>("@/core/plan");
  type Clients = typeof PlanClients;
  type Asked<K extends keyof Clients> = Clients[K] extends () => LatestClient<infer In, unknown> ? In : never;
  return {
    createVariantsClient: mockAtHand(({ book, variants, count }: Asked<"createVariantsClient">) =>
      plan.compareVariants(book, variants, count),
    ),
    createMendsClient: mockAtHand(({ book, pieceId }: Asked<"createMendsClient">) =>
      plan.listMends(book, pieceId),
    ),
    createDivisionClient: mockAtHand(({ book, request }: Asked<"createDivisionClient">) =>
      plan.divideBatch(book, request),
    ),
  };
});
