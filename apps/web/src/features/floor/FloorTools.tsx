import type { ShotPlan, Subject } from '@still-heron/core';
import { useRef } from 'react';
import clsx from 'clsx';
import { PICTURE_ACCEPT } from '../../shared/api/pictures';
import { useAppSelector } from '../../shared/store/hooks';
import { selectSelection } from '../shot/sessionSlice';
import { selectedSubject } from './selectedSubject';
import { Button } from '../../ui/Button';
import styles from './FloorTools.module.css';

/** Tool for the next press on the floor. */
export type ToolName =
  'subject' | 'walk' | 'camera' | 'aim' | 'post' | 'box' | 'wall' | 'door' | 'track' | 'tape' | 'scale' | 'picture';

/** Content of the side column: selection, blocking moves, or a rehearsal. */
export type FloorMode = 'draw' | 'moves' | 'rehearse';

interface Props {
  readonly plan: ShotPlan;
  readonly tool: ToolName | null;
  readonly mode: FloorMode;
  readonly onTool: (tool: ToolName | null) => void;
  readonly onMode: (mode: FloorMode) => void;
  readonly onPicture: (file: File) => void;
}

interface Tool {
  readonly name: ToolName;
  readonly word: string;
  readonly ask: string;
}

/** @param walker - subject for the next walk; undefined if nobody is there */
function toolsFor(walker: Subject | undefined): Tool[] {
  const walk: Tool[] = walker
    ? [{ name: 'walk', word: `${walker.name} walks`, ask: `Click where ${walker.name} is at the time of the playhead` }]
    : [];
  return [
    { name: 'subject', word: 'Subject', ask: 'Click where the subject stands' },
    ...walk,
    { name: 'camera', word: 'Move the camera', ask: 'Click where the camera is at the time of the playhead' },
    { name: 'aim', word: 'Aim', ask: 'Click the subject or point at which the camera looks from the playhead on' },
    { name: 'post', word: 'Post', ask: 'Click where it stands' },
    { name: 'box', word: 'Box', ask: 'Click where it stands' },
    { name: 'wall', word: 'Wall', ask: 'Click where its middle is' },
    { name: 'door', word: 'Door', ask: 'Click where its middle is' },
    { name: 'track', word: 'Track', ask: 'Click where the middle of the dolly track is; the camera is placed on it' },
    { name: 'tape', word: 'Tape to a spot', ask: 'Click a spot on the floor' },
  ];
}

/** Tools that put things on the floor: choose one, then press a place. */
export function FloorTools({ plan, tool, mode, onTool, onMode, onPicture }: Props) {
  const walker = useWalker(plan);
  const picked = useRef<HTMLInputElement>(null);
  const tools = toolsFor(walker);
  const held = tools.find(({ name }) => name === tool);
  const modeButton = (name: FloorMode, word: string) => (
    <Button
      look="quiet"
      className={clsx(styles.floorTool, mode === name && styles.isHeld)}
      aria-pressed={mode === name}
      onClick={() => onMode(mode === name ? 'draw' : name)}
    >
      {word}
    </Button>
  );
  return (
    <div className={styles.floorTools} role="toolbar" aria-label="Add to the floor">
      {tools.map(({ name, word }) => (
        <Button
          key={name}
          look="quiet"
          className={clsx(styles.floorTool, tool === name && styles.isHeld)}
          aria-pressed={tool === name}
          onClick={() => onTool(tool === name ? null : name)}
        >
          {word}
        </Button>
      ))}
      <Button look="quiet" className={styles.floorTool} onClick={() => picked.current?.click()}>
        Picture
      </Button>
      <input
        ref={picked}
        type="file"
        hidden
        accept={PICTURE_ACCEPT}
        data-testid="floor-picture-file"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) onPicture(file);
          // allows the same file to be chosen again
          target.value = '';
        }}
      />
      <span className={styles.floorModes}>
        {modeButton('moves', 'Moves')}
        {modeButton('rehearse', 'Rehearse')}
      </span>
      <span className={styles.toolHint} role="status">
        {held && `${held.ask}; Enter uses the middle.`}
        {tool === 'scale' && 'Drag along a length that you know: a door, a wall, a table.'}
        {tool === 'picture' && 'Drag the picture, and turn it by its knob. Escape puts it down.'}
      </span>
    </div>
  );
}

/** Subject for the next walk: the selected one, or the first. */
export function useWalker(plan: ShotPlan): Subject | undefined {
  const selection = useAppSelector(selectSelection);
  return selectedSubject(plan, selection) ?? plan.subjects[0];
}
