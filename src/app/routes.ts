import { index, prefix, route, type RouteConfig } from '@react-router/dev/routes';

export default [
  index('routes/home/route.tsx'),
  route('sign-in', 'routes/sign-in/route.tsx'),
  route('sign-in/elsewhere', 'routes/sign-in/elsewhere.ts'),
  route('sign-in/return', 'routes/sign-in/return.tsx'),
  route('invitation/:token', 'routes/invitation/route.tsx'),
  route('me', 'routes/me/route.tsx'),
  route('people', 'routes/people/route.tsx'),
  route('journal', 'routes/journal/route.tsx'),
  route('journal/export', 'routes/journal/export.ts'),
  route('sources', 'routes/sources/route.tsx'),
  route('sources/new', 'routes/sources/edit/route.tsx', { id: 'new-source' }),
  route('sources/:source/edit', 'routes/sources/edit/route.tsx', { id: 'edit-source' }),
  route('s/:source', 'routes/source/route.tsx', [
    index('routes/source/start.tsx'),
    route('coverage', 'routes/coverage/route.tsx', [
      index('routes/coverage/nothing.tsx'),
      route(':table', 'routes/coverage/table/route.tsx'),
    ]),
    route('findings', 'routes/findings/route.tsx', [
      index('routes/findings/nothing.tsx'),
      route(':finding', 'routes/findings/finding/route.tsx'),
    ]),
    route('decide', 'routes/decide/route.tsx'),
    route('dockets', 'routes/dockets/route.tsx'),
    route('dockets/:docket', 'routes/dockets/docket/route.tsx'),
    route('rules', 'routes/rules/route.tsx', [index('routes/rules/nothing.tsx'), route('*', 'routes/rules/rule/route.tsx')]),
    route('budget', 'routes/budget/route.tsx'),
    route('surveys', 'routes/surveys/route.tsx'),
    route('surveys/:survey', 'routes/surveys/survey/route.tsx'),
  ]),
  ...prefix('s/:source', [
    route('coverage/:table/ddl', 'routes/coverage/ddl.ts'),
    route('findings/:finding/rows', 'routes/findings/rows.ts'),
    route('findings/:finding/touches', 'routes/findings/touches.ts'),
    route('findings/:finding/reach', 'routes/findings/reach.ts'),
    route('dockets/:docket/:script', 'routes/dockets/script.ts'),
    route('surveys/:survey/questions/:round', 'routes/surveys/survey/questions.ts'),
    route('surveys/:survey/answers', 'routes/surveys/survey/answers.ts'),
    route('jump', 'routes/jump/route.ts'),
  ]),
] satisfies RouteConfig;
