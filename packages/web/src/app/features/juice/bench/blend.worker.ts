/// <reference lib="webworker" />
import { runBlendTask, type BlendTask } from './blend-task';

addEventListener('message', ({ data }: MessageEvent<{ readonly id: number; readonly task: BlendTask }>) => {
  postMessage({ id: data.id, answer: runBlendTask(data.task) });
});
