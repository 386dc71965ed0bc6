import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need } from '../../../shared/api';
import { Mark } from '../../../shared/Mark';
import { Trouble } from '../../../shared/Notice';
import { when } from '../../../shared/words';
import { queryKeys } from '../../queryKeys';
import { useToday } from '../../shell/day';
import { useToast } from '../../shell/Toast';

/** What a room has sent on to another chat, and what came of it. */
export function Posts({ room }: { room: string }) {
  const today = useToday();
  const toast = useToast();
  const queries = useQueryClient();
  const list = useQuery({
    queryKey: queryKeys.noticePosts(room),
    queryFn: () => need(api.GET('/api/notice-rooms/{id}/posts', { params: { path: { id: room } } })),
    refetchInterval: 10_000,
  });
  const again = useMutation({
    mutationFn: (id: string) => need(api.POST('/api/notice-posts/{id}/again', { params: { path: { id } } })),
    onSettled: () => queries.invalidateQueries({ queryKey: queryKeys.noticePosts(room) }),
  });
  if (list.error) return <Trouble title="Not loaded">{list.error.message}</Trouble>;
  if (!list.data) return null;
  return (
    <details className="notice-posts">
      <summary>What was sent on, and the secret it is signed with</summary>
      <p className="second">
        Whoever takes it checks the header webhook-signature with this secret: <code>{list.data.secret}</code>
      </p>
      <ul className="rows lines">
        {list.data.items.map((post) => (
          <li key={post.id}>
            <span className="line-top">
              <span className="notice-post-words">{post.words}</span>
              <Mark kind={post.state === 'sent' ? 'done' : post.state === 'failed' ? 'choose' : 'waiting'}>
                {post.state === 'sent' ? 'sent' : post.state === 'failed' ? 'not sent' : 'waits'}
              </Mark>
            </span>
            <small className="second">
              {when(post.sentAt ?? post.madeAt, today)}
              {post.answer && `, ${post.answer}`}
              {post.state === 'waiting' && post.nextAt && post.tries > 0 && `, again ${when(post.nextAt, today)}`}
            </small>{' '}
            {post.state !== 'sent' && (
              <button
                type="button"
                className="link-button"
                disabled={again.isPending}
                onClick={() =>
                  again.mutate(post.id, {
                    onSuccess: () => toast({ words: 'It is tried again now' }),
                    onError: (error) => toast({ words: error.message }),
                  })
                }
              >
                Try again
              </button>
            )}
          </li>
        ))}
        {list.data.items.length === 0 && <li className="second">Nothing yet.</li>}
      </ul>
    </details>
  );
}
