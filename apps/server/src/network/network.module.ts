import { Global, Module } from '@nestjs/common';
import { NetworkController } from './network.controller.js';
import { NetworkService } from './network.service.js';

/** Everything that accepts connections asks it who may come in. */
@Global()
@Module({ controllers: [NetworkController], providers: [NetworkService], exports: [NetworkService] })
export class NetworkModule {}
