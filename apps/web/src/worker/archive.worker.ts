import './importMeta';
import * as Comlink from 'comlink';
import { packRooms, unpackRooms, type PackedRoom, type Unpacked } from './archive';

const api = {
  pack(rooms: readonly PackedRoom[]): Uint8Array {
    const bytes = packRooms(rooms);
    return Comlink.transfer(bytes, [bytes.buffer]);
  },
  async unpack(file: Blob, name: string): Promise<Unpacked> {
    return unpackRooms(name, new Uint8Array(await file.arrayBuffer()));
  },
};

export type ArchiveApi = typeof api;
Comlink.expose(api);
