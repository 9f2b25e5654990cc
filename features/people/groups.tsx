'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { groupSchema, type GroupForm } from '@/core/people/group';
import { listed } from '@/core/units/format';
import { Field } from '../form/field';
import { FormEnd } from '../form/form-end';
import { newId } from '../form/ids';
import { useSave } from '../form/use-save';
import { removeGroupAction, saveGroupAction } from './actions';
import styles from './people.module.scss';

type Group = { groupId: string } & GroupForm;
type Person = { id: string; name: string };
type Props = { slug: string; groups: readonly Group[]; players: readonly Person[]; coaches: readonly Person[] };

const namesOf = (ids: readonly string[], people: readonly Person[]) => people.filter(({ id }) => ids.includes(id)).map(({ name }) => name);

/** The groups of an academy: who is in each, who looks after it. */
export function Groups({ slug, groups, players, coaches }: Props) {
  const router = useRouter();
  const [open, setOpen] = useState<Group | null>(null);
  const [removing, setRemoving] = useState<string | null>(null);
  const done = () => {
    setOpen(null);
    setRemoving(null);
    router.refresh();
  };
  return (
    <div className="d-grid gap-3">
      {groups.length === 0 && !open && (
        <p className="empty m-0">No groups yet. Make one for those who are coached together, such as “Tuesday juniors”.</p>
      )}
      <ul className="rows">
        {groups.map((one) => (
          <li key={one.groupId} className={styles.group}>
            {open?.groupId === one.groupId ? (
              <GroupEditor slug={slug} group={open} players={players} coaches={coaches} onDone={done} onBack={() => setOpen(null)} />
            ) : (
              <>
                <span>
                  <b>{one.name}</b>
                  <br />
                  {namesOf(one.playerIds, players).join(', ') || 'nobody in it yet'}
                  <br />
                  <span className="small-print">
                    {one.userIds.length > 0 ? `looked after by ${listed(namesOf(one.userIds, coaches))}` : 'nobody looks after it yet'}
                  </span>
                </span>
                <span className={styles.does}>
                  {removing === one.groupId ? (
                    <>
                      <Button variant="dark" onClick={() => void removeGroupAction(slug, one.groupId).then(done)}>
                        Remove {one.name}
                      </Button>
                      <Button variant="outline-dark" onClick={() => setRemoving(null)}>
                        Keep
                      </Button>
                    </>
                  ) : (
                    <>
                      <Button variant="outline-dark" onClick={() => setOpen(one)} aria-label={`Change ${one.name}`}>
                        Change
                      </Button>
                      <Button variant="outline-dark" onClick={() => setRemoving(one.groupId)} aria-label={`Remove ${one.name} …`}>
                        Remove …
                      </Button>
                    </>
                  )}
                </span>
              </>
            )}
          </li>
        ))}
      </ul>
      {open && !groups.some(({ groupId }) => groupId === open.groupId) && (
        <GroupEditor slug={slug} group={open} players={players} coaches={coaches} onDone={done} onBack={() => setOpen(null)} />
      )}
      {!open && (
        <div>
          <Button onClick={() => setOpen({ groupId: newId(), name: '', playerIds: [], userIds: [] })}>Add a group</Button>
        </div>
      )}
    </div>
  );
}

type EditorProps = Omit<Props, 'groups'> & { group: Group; onDone: () => void; onBack: () => void };

function GroupEditor({ slug, group: { groupId, ...initial }, players, coaches, onDone, onBack }: EditorProps) {
  const form = useForm<GroupForm>({ resolver: zodResolver(groupSchema), defaultValues: initial });
  const { register, formState } = form;
  const { errors, isSubmitting } = formState;
  const submit = useSave(form, (group) => saveGroupAction(slug, groupId, group), onDone);
  const choice = (of: readonly Person[], name: 'playerIds' | 'userIds') =>
    of.map(({ id, name: label }) => (
      <Form.Check key={id} type="checkbox" id={`${groupId}-${id}`} value={id} label={label} {...register(name)} />
    ));
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3 w-100">
      <Field id={`${groupId}-name`} label="Name of the group" autoComplete="off" register={register('name')} error={errors.name?.message} />
      <fieldset>
        <legend className="fs-6 fw-semibold mb-1">Players</legend>
        <div className={styles.columns}>{choice(players, 'playerIds')}</div>
        {players.length === 0 && <p className="m-0">There are no players yet.</p>}
      </fieldset>
      <fieldset>
        <legend className="fs-6 fw-semibold mb-1">Who looks after it</legend>
        <div className={styles.columns}>{choice(coaches, 'userIds')}</div>
      </fieldset>
      <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={onBack}>
        Save group
      </FormEnd>
    </Form>
  );
}
