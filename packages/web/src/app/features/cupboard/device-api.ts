import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { API_PATHS, type RunningStandIn } from '@trug/contract/plain';
import { firstValueFrom } from 'rxjs';
import { problemOf } from '../../state/trug-api';

/** Starts and stops stand-ins. */
@Injectable({ providedIn: 'root' })
export class DeviceApi {
  private readonly http = inject(HttpClient);

  running(): Promise<readonly RunningStandIn[]> {
    return firstValueFrom(this.http.get<readonly RunningStandIn[]>(`${API_PATHS.devices}/stand-ins`));
  }

  /** @returns why it cannot start; null once it runs */
  async start(deviceId: string, daysPerSecond: number, everyMinutes: number): Promise<string | null> {
    return firstValueFrom(this.http.post(`${API_PATHS.devices}/${deviceId}/stand-in`, { daysPerSecond, everyMinutes })).then(
      () => null,
      (error: unknown) => problemOf(error).detail,
    );
  }

  /** Takes out what a device sent about a batch. @returns why it cannot; null once it is gone */
  async forget(deviceId: string, batchId: string): Promise<string | null> {
    return firstValueFrom(this.http.delete(`${API_PATHS.devices}/${deviceId}/readings?batch=${batchId}`)).then(
      () => null,
      (error: unknown) => problemOf(error).detail,
    );
  }

  async stop(deviceId: string): Promise<void> {
    await firstValueFrom(this.http.delete(`${API_PATHS.devices}/${deviceId}/stand-in`));
  }
}
