import { MissingRecord } from "@/ui/shell/MissingRecord";

export default function NotFound() {
  return <MissingRecord />;
}
