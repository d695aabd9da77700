export { boreOf, drillFor, judgeThread, mustNotMeet, rankThreads, type Candidate, type Measured } from './rank.ts';
export { lookAlikes, threads, type Seals, type Thread } from './table.ts';
export { judgeSocket, sockets, type Socket, type SocketJudged, type SocketOn } from './socket.ts';
export { judgeNut, threadsOfNut, type NutJudged, type OtherEnd } from './nutAndStud.ts';
