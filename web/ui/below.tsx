import { useLayoutEffect, useRef, type ReactNode } from 'react';

/** What stands at the foot of a station and asks something: messages in passing appear above it and not over its keys. */
export function Below({ className, children }: { className: string; children: ReactNode }) {
  const foot = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const { style } = document.documentElement;
    const watch = new ResizeObserver(() => {
      const { top, height } = foot.current!.getBoundingClientRect();
      style.setProperty('--foot', height > 24 ? `${window.innerHeight - top + 4}px` : '3rem');
    });
    watch.observe(foot.current!);
    return () => {
      watch.disconnect();
      style.removeProperty('--foot');
    };
  }, []);
  return (
    <div ref={foot} className={className}>
      {children}
    </div>
  );
}
