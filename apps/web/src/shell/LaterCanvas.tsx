import { Coming } from '../ui/Coming';
import { laterPart } from '../ui/later';

/** Where a drawing will be. */
export const ComingDrawing = () => <Coming words="Being drawn…" />;

/** The drawings of a stage, which come after its inputs. */
export const LaterCanvas = laterPart(async () => (await import('../canvas/Canvas')).Canvas, ComingDrawing);
