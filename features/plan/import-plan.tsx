'use client';

import { useRouter } from 'next/navigation';
import { PLAN_FILE_ENDINGS } from '@/core/weeks/plan-file';
import { TakeFile } from '../form/take-file';
import { importPlanAction } from './weeks/actions';

/** Takes in a planned session, or planned weeks, from a file of this device. */
export function ImportPlan({ slug }: { slug: string }) {
  const router = useRouter();
  return (
    <TakeFile
      label="Plan file"
      words="Open a plan file"
      accept={`${PLAN_FILE_ENDINGS.join(',')},.json,application/json`}
      take={(text) => importPlanAction(slug, text)}
      onTaken={({ path }) => router.push(`/a/${slug}/plan/${path}`)}
    />
  );
}
