import type { AnchorHTMLAttributes } from 'react';
import styles from './ui.module.css';

export function LinkButton({ kind = 'quiet', ...rest }: AnchorHTMLAttributes<HTMLAnchorElement> & { kind?: 'main' | 'quiet' | 'plain' }) {
  return <a {...rest} className={styles[kind]} />;
}
