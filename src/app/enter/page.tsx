import type { Metadata } from "next";
import { roles } from "@/schemas/access";
import { EnterPage } from "@/ui/access/EnterPage";
import { getDoorkeeper, sayStartCode } from "../access/keys";

export const metadata: Metadata = { title: "Come in" };
export const dynamic = "force-dynamic";

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

/** Where a device comes in, for the first time of all or with a key. */
export default async function Page({ searchParams }: Props) {
  const { to, as, invite } = await searchParams;
  const doorkeeper = getDoorkeeper();
  const isUnset = doorkeeper.isUnset();
  // Started for itself alone, and asked from elsewhere all the same.
  if (isUnset && !doorkeeper.hasStartCode()) sayStartCode();
  return (
    <EnterPage
      // Back to a page of this house only.
      to={typeof to === "string" && /^\/(?![/\\])/.test(to) ? to : "/"}
      isUnset={isUnset}
      heldRole={roles.find((role) => role === as) ?? null}
      invite={typeof invite === "string" ? invite : null}
    />
  );
}
