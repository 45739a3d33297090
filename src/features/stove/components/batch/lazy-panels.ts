import { lazyPart } from '@/ui/lazy-part';
import { fetchToasts } from '@/ui/frame/toasts';

const curve = () => import('./curve').then((m) => m.Curve);
const course = () => import('../cooling/cooling-curve').then((m) => m.CoolingCurve);
const otherwise = () => import('./done-differently').then((m) => m.DoneDifferently);
const rescue = () => import('./rescue').then((m) => m.RescuePanel);
const night = () => import('./leave-overnight').then((m) => m.LeaveOvernight);
const putOn = () => import('../board/start-batch').then((m) => m.StartBatch);

/** Parts of the stove's pages that come when they are asked for. */
export const LazyCurve = lazyPart(curve);
export const LazyCourse = lazyPart(course);
export const LazyDoneDifferently = lazyPart(otherwise);
export const LazyRescuePanel = lazyPart(rescue);
export const LazyLeaveOvernight = lazyPart(night);
export const LazyStartBatch = lazyPart(putOn);

/** Fetches all of them ahead: when the network has gone, it is too late. */
export const prefetchPanels = (): Promise<unknown> =>
  Promise.all([
    curve(),
    course(),
    otherwise(),
    rescue(),
    night(),
    putOn(),
    fetchToasts(),
    import('react-apexcharts'),
  ]);
