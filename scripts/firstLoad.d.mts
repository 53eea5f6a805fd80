export function firstLoad(dist: string, page: 'list' | 'room' | 'nothing'): string[];
