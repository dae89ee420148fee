import { Link } from "@/ui/controls/Link";

export default function NotFound() {
  return (
    <main className="board flex min-h-dvh flex-col items-start gap-4 p-8">
      <h1 className="text-3xl">There is nothing here</h1>
      <p>No day, piece or page has this address. What you entered elsewhere is kept.</p>
      <Link href="/" className="btn btn-primary touch">
        To the bench
      </Link>
    </main>
  );
}
