import type { SkillWire } from '../../contract/wire/things';
import { useState } from 'react';
import { sheetItems } from '../../core/skills/sheetItems';
import { questionText } from '../../text/itemText';
import { Button } from '../../ui/Button';
import styles from './placement.module.css';

/** A question to show on the screen, when there is nothing at hand. */
export function Example({ skill, all }: { skill: SkillWire; all: readonly SkillWire[] }) {
  const [turn, setTurn] = useState(0);
  if (!skill.predicate) return null;
  const items = sheetItems(skill, all, 12, 5);
  const texts = [...new Set(items.map(questionText).filter((t): t is string => t !== null))];
  if (texts.length === 0) return null;
  return (
    <p className={styles.example}>
      <span>{texts[turn % texts.length]}</span>
      {texts.length > 1 && (
        <Button kind="plain" onClick={() => setTurn(turn + 1)}>
          another
        </Button>
      )}
    </p>
  );
}
