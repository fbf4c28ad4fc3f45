import type { ButtonHTMLAttributes } from 'react';
import styles from './ui.module.css';

export function Button({
  kind = 'quiet',
  className,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { kind?: 'main' | 'quiet' | 'plain' | 'danger' }) {
  return <button type="button" {...rest} className={[styles[kind], className].filter(Boolean).join(' ')} />;
}
