import type { APIRoute } from 'astro';
import { dispatch } from '../../../server/http/dispatch';

export const prerender = false;

export const ALL: APIRoute = ({ request, params }) => dispatch(request, `/${params.path ?? ''}`);
