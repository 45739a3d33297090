import { lazily } from '@/ui/lazily';
import { fetchToasts } from '@/ui/toasts';

const curve = () => import('./curve').then((m) => m.Curve);
const course = () => import('./cooling-course').then((m) => m.Course);
const otherwise = () => import('./otherwise').then((m) => m.Otherwise);
const rescue = () => import('./rescue').then((m) => m.RescuePanel);
const night = () => import('./night').then((m) => m.Night);
const putOn = () => import('./put-on').then((m) => m.PutOn);

/** Parts of the stove's pages that come when they are asked for. */
export const Curve = lazily(curve);
export const Course = lazily(course);
export const Otherwise = lazily(otherwise);
export const RescuePanel = lazily(rescue);
export const Night = lazily(night);
export const PutOn = lazily(putOn);

/** Fetches all of them ahead: when the network has gone, it is too late. */
export const fetchAhead = (): Promise<unknown> =>
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
