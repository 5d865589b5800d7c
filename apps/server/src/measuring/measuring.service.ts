import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { SimulateReading, ReadingView, SendReading } from '@still-heron/contract';
import { measureSigmaMm, simulatedReadingMm } from '@still-heron/core';
import { randomNormal } from 'd3-random';
import { type Observable, Subject } from 'rxjs';

/** Passes readings of measuring devices to listeners. Nothing is stored. */
@Injectable()
export class MeasuringService implements OnModuleDestroy {
  private readonly passing = new Subject<ReadingView>();
  private count = 0;
  private readonly deviate = randomNormal();

  get readings(): Observable<ReadingView> {
    return this.passing;
  }

  send({ device, method, distanceMm, uncertaintyMm, recipient }: SendReading): ReadingView {
    return this.pass({
      device,
      method,
      distanceMm,
      uncertaintyMm: uncertaintyMm ?? measureSigmaMm(method, distanceMm),
      isSimulated: false,
      recipient: recipient ?? null,
    });
  }

  /** Simulates a measurement: the drawn distance plus the noise of the method. */
  simulate({ method, drawnMm, recipient }: SimulateReading): ReadingView {
    return this.pass({
      device: `simulated ${method}`,
      method,
      distanceMm: simulatedReadingMm(method, drawnMm, this.deviate()),
      uncertaintyMm: measureSigmaMm(method, drawnMm),
      isSimulated: true,
      recipient,
    });
  }

  onModuleDestroy(): void {
    this.passing.complete();
  }

  private pass(reading: Omit<ReadingView, 'number'>): ReadingView {
    const numbered = { number: ++this.count, ...reading };
    this.passing.next(numbered);
    return numbered;
  }
}
