/** The views by their addresses. Each is fetched when it is first opened, and kept on the device from the first visit on. */
import { Navigate, type RouteObject, redirect } from "react-router";
import { MOVED } from "./addresses.ts";
import { Fetching } from "./layout/fetching.tsx";
import { IllFault } from "./layout/ill-fault.tsx";
import { RouteFault } from "./layout/route-fault.tsx";
import { Whole } from "./layout/whole.tsx";

const ofFind: RouteObject[] = [
  { index: true, element: <Navigate to="record" replace /> },
  {
    path: "record/:station?",
    lazy: () => import("./find/find-view.tsx").then(({ FindView }) => ({ Component: FindView })),
  },
  {
    path: "tests/:test?",
    lazy: () => import("./field-tests/tests-view.tsx").then(({ TestsView }) => ({ Component: TestsView })),
  },
  {
    path: "decide",
    lazy: () => import("./decide/decide-view.tsx").then(({ DecideView }) => ({ Component: DecideView })),
  },
  {
    path: "history",
    lazy: () => import("./history/history-view.tsx").then(({ HistoryView }) => ({ Component: HistoryView })),
  },
  { path: "run", lazy: () => import("./run/run-view.tsx").then(({ RunView }) => ({ Component: RunView })) },
  { path: "rules", lazy: () => import("./rules/rules-view.tsx").then(({ RulesView }) => ({ Component: RulesView })) },
];

const views: RouteObject[] = [
  { index: true, element: <Navigate to="/finds" replace /> },
  { path: "finds", lazy: () => import("./log/log-view.tsx").then(({ LogView }) => ({ Component: LogView })) },
  {
    path: "finds/:id",
    lazy: () => import("./session/one-find.tsx").then(({ OneFind }) => ({ Component: OneFind })),
    children: ofFind,
  },
  {
    path: "prints",
    lazy: () => import("./field-tests/all-prints-view.tsx").then(({ AllPrintsView }) => ({ Component: AllPrintsView })),
  },
  { path: "outing", element: <Navigate to="now" replace /> },
  {
    path: "outing/now",
    lazy: () => import("./outing/outing-view.tsx").then(({ OutingView }) => ({ Component: OutingView })),
  },
  { path: "outing/plan", lazy: () => import("./plan/plan-view.tsx").then(({ PlanView }) => ({ Component: PlanView })) },
  {
    path: "outing/:id",
    lazy: () => import("./outing/one-outing-view.tsx").then(({ OneOutingView }) => ({ Component: OneOutingView })),
  },
  { path: "season", element: <Navigate to="log" replace /> },
  {
    path: "season/log/:as?",
    lazy: () => import("./season-log/season-log-view.tsx").then(({ SeasonLogView }) => ({ Component: SeasonLogView })),
  },
  {
    path: "season/places",
    lazy: () => import("./places/places-view.tsx").then(({ PlacesView }) => ({ Component: PlacesView })),
  },
  {
    path: "season/places/:id",
    lazy: () => import("./places/place-view.tsx").then(({ PlaceView }) => ({ Component: PlaceView })),
  },
  {
    path: "season/return",
    lazy: () => import("./return/return-view.tsx").then(({ ReturnView }) => ({ Component: ReturnView })),
  },
  {
    path: "season/pictures",
    lazy: () => import("./season-pictures/pictures-view.tsx").then(({ PicturesView }) => ({ Component: PicturesView })),
  },
  { path: "kitchen", element: <Navigate to="basket" replace /> },
  {
    path: "kitchen/basket",
    lazy: () => import("./basket/basket-view.tsx").then(({ BasketView }) => ({ Component: BasketView })),
  },
  {
    path: "kitchen/table",
    lazy: () => import("./kitchen/table-view.tsx").then(({ TableView }) => ({ Component: TableView })),
  },
  {
    path: "kitchen/meal",
    lazy: () => import("./kitchen/meal-view.tsx").then(({ MealView }) => ({ Component: MealView })),
  },
  {
    path: "kitchen/tastings",
    lazy: () => import("./kitchen/tastings-view.tsx").then(({ TastingsView }) => ({ Component: TastingsView })),
  },
  {
    path: "kitchen/store/:code?",
    lazy: () => import("./kitchen/store-view.tsx").then(({ StoreView }) => ({ Component: StoreView })),
  },
  { path: "practice", element: <Navigate to="today" replace /> },
  {
    path: "practice/today",
    lazy: () => import("./practice/today-view.tsx").then(({ TodayView }) => ({ Component: TodayView })),
  },
  {
    path: "practice/how-well",
    lazy: () => import("./practice/how-well-view.tsx").then(({ HowWellView }) => ({ Component: HowWellView })),
  },
  {
    path: "practice/test/:seed",
    lazy: () => import("./practice/test-view.tsx").then(({ TestView }) => ({ Component: TestView })),
  },
  {
    path: "practice/teach",
    lazy: () => import("./practice/teach/teach-view.tsx").then(({ TeachView }) => ({ Component: TeachView })),
  },
  {
    path: "practice/teach/:id",
    lazy: () => import("./practice/teach/table-view.tsx").then(({ TableView }) => ({ Component: TableView })),
  },
  {
    path: "practice/teach/:id/paper",
    lazy: () => import("./practice/teach/set-paper.tsx").then(({ SetPaper }) => ({ Component: SetPaper })),
  },
  {
    path: "round/:token",
    lazy: () => import("./practice/teach/phone-view.tsx").then(({ PhoneView }) => ({ Component: PhoneView })),
  },
  {
    path: "practice/own",
    lazy: () => import("./practice/own-view.tsx").then(({ OwnView }) => ({ Component: OwnView })),
  },
  {
    path: "practice/:exercise",
    lazy: () => import("./practice/exercise-view.tsx").then(({ ExerciseView }) => ({ Component: ExerciseView })),
  },
  {
    path: "files",
    lazy: () => import("./exchange/exchange-view.tsx").then(({ ExchangeView }) => ({ Component: ExchangeView })),
  },
  {
    path: "packet/:token",
    lazy: () => import("./packet/packet-view.tsx").then(({ PacketView }) => ({ Component: PacketView })),
  },
  {
    path: "place/:token",
    lazy: () =>
      import("./places/shared-place-view.tsx").then(({ SharedPlaceView }) => ({ Component: SharedPlaceView })),
  },
  {
    path: "settings",
    lazy: () => import("./settings/settings-view.tsx").then(({ SettingsView }) => ({ Component: SettingsView })),
  },
  {
    path: "sign-in",
    lazy: () => import("./people/sign-in-view.tsx").then(({ SignInView }) => ({ Component: SignInView })),
  },
  {
    path: "join/:token",
    lazy: () => import("./people/join-view.tsx").then(({ JoinView }) => ({ Component: JoinView })),
  },
  {
    path: "circles",
    lazy: () => import("./circles/circles-view.tsx").then(({ CirclesView }) => ({ Component: CirclesView })),
  },
  {
    path: "circles/:id",
    lazy: () => import("./circles/circle-view.tsx").then(({ CircleView }) => ({ Component: CircleView })),
  },
  {
    path: "circles/asked/:id",
    lazy: () => import("./circles/asked-view.tsx").then(({ AskedView }) => ({ Component: AskedView })),
  },
  {
    path: "circles/join/:token",
    lazy: () => import("./circles/join-circle-view.tsx").then(({ JoinCircleView }) => ({ Component: JoinCircleView })),
  },
  { path: "me", lazy: () => import("./people/me-view.tsx").then(({ MeView }) => ({ Component: MeView })) },
  { path: "words", lazy: () => import("./words/words-view.tsx").then(({ WordsView }) => ({ Component: WordsView })) },
  { path: "sheets", lazy: () => import("./sheets/shelf-view.tsx").then(({ ShelfView }) => ({ Component: ShelfView })) },
  {
    path: "sheets/:id",
    lazy: () => import("./sheets/sheet-view.tsx").then(({ SheetView }) => ({ Component: SheetView })),
  },
  {
    path: "sheets/:one/beside/:other",
    lazy: () => import("./sheets/compare-view.tsx").then(({ CompareView }) => ({ Component: CompareView })),
  },
  ...(import.meta.env.DEV
    ? [
        {
          path: "variants",
          lazy: () => import("./theme/variants-view.tsx").then(({ VariantsView }) => ({ Component: VariantsView })),
        },
      ]
    : []),
  ...MOVED.map(([path, now]): RouteObject => ({ path, loader: ({ params }) => redirect(now(params)) })),
  { path: "*", element: <RouteFault isNowhere /> },
];

/** A fault in a view is told where the view would stand, and the way to the others stays. */
export const routes: RouteObject[] = [
  {
    // outside of all that could fail with the rest
    path: "/ill",
    errorElement: <IllFault />,
    lazy: () => import("./illness/ill-view.tsx").then(({ IllView }) => ({ Component: IllView })),
  },
  {
    element: <Whole />,
    errorElement: <RouteFault />,
    hydrateFallbackElement: <Fetching />,
    children: [{ errorElement: <RouteFault />, children: views }],
  },
];
