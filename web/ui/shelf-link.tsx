import { Link } from 'react-router';
import { KiteMark } from './marks';

/** The way back to the Shelf, with the stroke that parts it from what is open. */
export function ShelfLink() {
  return (
    <>
      <Link to="/" className="flex items-center gap-2 rounded-md px-1 font-bold hover:bg-sunken">
        <KiteMark />
        Shelf
      </Link>
      <span aria-hidden="true" className="text-muted">
        /
      </span>
    </>
  );
}
