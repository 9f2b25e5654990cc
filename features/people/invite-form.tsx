'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useForm, useWatch } from 'react-hook-form';
import { INVITED_ROLES, invitationSchema, ROLE_WORDS, type InvitationForm } from '@/core/people/invitation';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { Submit } from '../form/submit';
import { useSave } from '../form/use-save';
import { inviteAction } from './actions';

type Props = { slug: string; groups: readonly { groupId: string; name: string }[] };

/** Asks somebody by e-mail to work in the academy. */
export function InviteForm({ slug, groups }: Props) {
  const form = useForm<InvitationForm>({
    resolver: zodResolver(invitationSchema),
    defaultValues: { email: '', role: 'coach', groupIds: [] },
  });
  const { register, formState, reset, control } = form;
  const { errors, isSubmitting } = formState;
  const role = useWatch({ control, name: 'role' });
  const [sentTo, setSentTo] = useState('');
  const submit = useSave(
    form,
    (invited) => inviteAction(slug, { ...invited, email: invited.email.toLowerCase() }),
    () => {
      setSentTo(form.getValues('email'));
      reset();
    },
  );
  return (
    <section aria-labelledby="invite" className="d-grid gap-3">
      <h2 id="invite" className="m-0">
        Invite somebody
      </h2>
      <Form noValidate onSubmit={submit} className="d-grid gap-3" onChange={() => setSentTo('')}>
        <Field
          id="invite-email"
          label="E-mail"
          type="email"
          autoComplete="off"
          register={register('email')}
          error={errors.email?.message}
        />
        <fieldset>
          <legend className="fs-6 fw-semibold mb-1">As</legend>
          {INVITED_ROLES.map((one) => (
            <Form.Check
              key={one}
              type="radio"
              id={`invite-${one}`}
              value={one}
              label={`${one}: ${ROLE_WORDS[one]}`}
              {...register('role')}
            />
          ))}
        </fieldset>
        {groups.length > 0 && (
          <fieldset>
            <legend className="fs-6 fw-semibold mb-1">Looks after</legend>
            {groups.map(({ groupId, name }) => (
              <Form.Check key={groupId} type="checkbox" id={`invite-${groupId}`} value={groupId} label={name} {...register('groupIds')} />
            ))}
          </fieldset>
        )}
        {groups.length === 0 && role === 'assistant' && (
          <p className="small-print m-0">There are no groups yet: an assistant sees nobody until they look after one.</p>
        )}
        <FormAlert message={errors.root?.message} />
        <div className="d-flex flex-wrap gap-3 align-items-center">
          <Submit busy={isSubmitting}>Send the invitation</Submit>
          <span role="status">{sentTo && `Sent to ${sentTo}.`}</span>
        </div>
      </Form>
    </section>
  );
}
