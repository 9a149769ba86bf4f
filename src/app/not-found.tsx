import { NothingHere } from '../screens/frame/nothingHere';

export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl px-7">
      <NothingHere />
    </main>
  );
}
