import { answerPhoto } from '@/app/http/photo';
import { answerRequest } from '@/app/http/answer';

type Context = { params: Promise<{ path: string[] }> };

const answer = async (request: Request, context: Context): Promise<Response> =>
  answerRequest(request, (await context.params).path);

export const POST = answer;
export const PUT = answer;

export const GET = async (request: Request, context: Context): Promise<Response> =>
  answerPhoto(request, (await context.params).path);
