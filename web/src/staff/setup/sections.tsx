import type { ReactNode } from 'react';
import { BusinessSection } from './BusinessSection';
import { CustomFields } from './CustomFields';
import { ClosureList, HoursSection } from './HoursSection';
import { IntakeSection, MatchingSection } from './IntakeSection';
import { ListsSection } from './ListsSection';
import { MessagesSection } from './MessagesSection';
import { ServicesSection, StaffSection } from './PeopleSection';
import { PagesSection } from './PagesSection';
import type { Setup } from './queries';
import { StagesSection } from './StagesSection';
import { TagsSection } from './TagsSection';

export interface Section {
  key: string;
  title: string;
  /** What it holds now, in a line. */
  holds: (setup: Setup) => string;
  show: (setup: Setup) => ReactNode;
}

const many = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`;

/** The parts of the settings, in their order. */
export const sections: Section[] = [
  {
    key: 'business',
    title: 'Business',
    holds: ({ business }) => `${business.name}, ${business.timeZone}`,
    show: ({ business }) => <BusinessSection business={business} />,
  },
  {
    key: 'pages',
    title: 'Public pages',
    holds: ({ business }) => `${business.accent || 'the usual colour'}, ${business.logo ? 'a logo' : 'no logo'}`,
    show: ({ business }) => <PagesSection business={business} />,
  },
  {
    key: 'hours',
    title: 'Hours and closures',
    holds: ({ hoursText, closures }) => `${hoursText}; ${many(closures.length, 'closure')}`,
    show: ({ hours, closures }) => (
      <>
        <HoursSection hours={hours} />
        <ClosureList closures={closures} />
      </>
    ),
  },
  {
    key: 'staff',
    title: 'Staff and roles',
    holds: ({ staff }) => many(staff.filter((one) => one.active).length, 'person', 'people'),
    show: ({ staff }) => <StaffSection staff={staff} />,
  },
  {
    key: 'services',
    title: 'Services',
    holds: ({ services }) => `${services.filter((one) => !one.retired).length}, each with its lead`,
    show: ({ services }) => <ServicesSection services={services} />,
  },
  {
    key: 'stages',
    title: 'Stages',
    holds: ({ stages }) => `${stages.length}, ${stages[0]?.name ?? ''} to ${stages.at(-1)?.name ?? ''}`,
    show: ({ stages }) => <StagesSection stages={stages} />,
  },
  {
    key: 'lists',
    title: 'Sources and reasons',
    holds: ({ sources, lostReasons, asideReasons }) =>
      `${many(sources.length, 'source')}, ${many(lostReasons.length, 'reason')} for lost, ${asideReasons.length} set aside`,
    show: (setup) => <ListsSection setup={setup} />,
  },
  {
    key: 'tags',
    title: 'Tags',
    holds: ({ tags }) => (tags.length ? `${many(tags.length, 'tag')}, ${tags[0]?.tag ?? ''} and on` : 'none yet'),
    show: ({ tags }) => <TagsSection tags={tags} />,
  },
  {
    key: 'fields',
    title: 'Custom fields',
    holds: ({ customFields }) => `${customFields.filter((one) => !one.retired).length}, of client, project and more`,
    show: ({ customFields }) => <CustomFields fields={customFields} />,
  },
  {
    key: 'messages',
    title: 'Messages',
    holds: ({ business }) => `from ${business.email}, read from ${business.replyThreshold} %`,
    show: (setup) => <MessagesSection setup={setup} />,
  },
  {
    key: 'intake',
    title: 'Taking submissions',
    holds: ({ unfinishedMinutes }) => `did not finish after ${unfinishedMinutes} min`,
    show: (setup) => <IntakeSection setup={setup} />,
  },
  {
    key: 'matching',
    title: 'Matching people',
    holds: ({ sameFrom, perhapsFrom }) => `same from ${sameFrom} %, ask from ${perhapsFrom} %`,
    show: (setup) => <MatchingSection setup={setup} />,
  },
];
