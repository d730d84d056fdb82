import { createElement, useEffect, useState, type ComponentType } from 'react';
import { Notice } from './Notice';

/**
 * A part of a page that is fetched when it is first shown, in the browser alone. Where it cannot be fetched it says so
 * in its place, and the page around it stays.
 */
export function fetchedLater<Props extends object>(
  fetchPart: () => Promise<ComponentType<Props>>,
): ComponentType<Props> {
  let fetched: ComponentType<Props> | null = null;
  return function FetchedLater(props: Props) {
    const [part, setPart] = useState(() => fetched);
    const [isMissing, setMissing] = useState(false);
    useEffect(() => {
      if (fetched !== null) return undefined;
      let isShown = true;
      fetchPart().then(
        (found) => {
          fetched = found;
          if (isShown) setPart(() => found);
        },
        () => isShown && setMissing(true),
      );
      return () => {
        isShown = false;
      };
    }, []);
    if (isMissing) {
      return (
        <Notice tone="fault">
          This part could not be fetched: is Corvat running? Then load the page again; what you
          typed is kept.
        </Notice>
      );
    }
    return part === null ? null : createElement(part, props);
  };
}
