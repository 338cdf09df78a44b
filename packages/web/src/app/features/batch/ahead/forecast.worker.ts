/// <reference lib="webworker" />
import { attempt } from '@trug/core/base/errors/attempt';
import { runForecastTask, type ForecastTask } from './forecast-task';

addEventListener('message', ({ data }: MessageEvent<ForecastTask>) => {
  const found = attempt(() => runForecastTask(data, (progress) => postMessage({ progress })));
  postMessage(found.ok ? { answer: found.value } : { refusal: found.error.message });
});
