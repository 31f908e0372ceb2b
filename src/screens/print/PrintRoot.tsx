import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import type { PrintSetup } from '@/core/model/print';
import type { PrintPage } from '@/core/print/boxes';
import { paperRule } from '@/core/print/paper';
import { pageSvg } from '@/core/print/svg';

interface Props {
  pages: readonly PrintPage[];
  setup: PrintSetup;
  isPrinting: boolean;
}

function newRoot(): HTMLDivElement {
  const root = document.createElement('div');
  root.className = 'print-root';
  return root;
}

/**
 * What goes on paper instead of the screen: beside everything that the app draws, seen by the printer
 * alone. Its pages are drawn once the browser prints, since thousands of them take their time.
 */
export function PrintRoot({ pages, setup, isPrinting }: Props) {
  const [root] = useState(newRoot);
  useEffect(() => {
    document.body.append(root);
    return () => root.remove();
  }, [root]);
  useEffect(() => {
    const draw = () => {
      root.querySelector('.print-pages')!.innerHTML = pages.map(pageSvg).join('');
    };
    if (isPrinting) draw();
    window.addEventListener('beforeprint', draw);
    return () => window.removeEventListener('beforeprint', draw);
  }, [root, pages, isPrinting]);
  return createPortal(
    <>
      <style>{`@page { size: ${paperRule(setup)}; margin: 0; }`}</style>
      <div className="print-pages" />
    </>,
    root,
  );
}
