import type { ReactNode } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { lazily } from "../shared/ui/lazily";
import { Notice } from "../shared/ui/Notice";
import { Frame } from "./Frame";
import { PlainFrame } from "./PlainFrame";
import { Root } from "./Root";
import { StageFault } from "./StageFault";

const MEANWHILE = <Notice>One moment…</Notice>;
const ProjectsPage = lazily(() => import("../features/projects/ProjectsPage"), "ProjectsPage", MEANWHILE);
const PlanStage = lazily(() => import("../features/plan/PlanStage"), "PlanStage", MEANWHILE);
const UpdateStage = lazily(() => import("../features/update/UpdateStage"), "UpdateStage", MEANWHILE);
const RangesStage = lazily(() => import("../features/ranges/RangesStage"), "RangesStage", MEANWHILE);
const RisksStage = lazily(() => import("../features/risks/RisksStage"), "RisksStage", MEANWHILE);
const CostsStage = lazily(() => import("../features/costs/CostsStage"), "CostsStage", MEANWHILE);
const DriversStage = lazily(() => import("../features/drivers/DriversStage"), "DriversStage", MEANWHILE);
const ScenariosStage = lazily(
  () => import("../features/scenarios/ScenariosStage"),
  "ScenariosStage",
  MEANWHILE,
);
const BriefStage = lazily(() => import("../features/brief/BriefStage"), "BriefStage", MEANWHILE);
const OddsStage = lazily(() => import("../features/odds/OddsStage"), "OddsStage", MEANWHILE);

const AccountPage = lazily(() => import("../features/people/AccountPage"), "AccountPage", MEANWHILE);
const PeoplePage = lazily(() => import("../features/people/PeoplePage"), "PeoplePage", MEANWHILE);
const MachinesPage = lazily(() => import("../features/machines/MachinesPage"), "MachinesPage", MEANWHILE);
const JoinPage = lazily(() => import("../features/people/JoinPage"), "JoinPage", MEANWHILE);

const page = (path: string, element: ReactNode) => ({ path, element, errorElement: <StageFault /> });

const router = createBrowserRouter([
  page("/join/:key", <JoinPage />),
  {
    element: <Root />,
    errorElement: <StageFault />,
    children: [
      { path: "/", element: <Navigate to="/projects" replace /> },
      {
        element: <PlainFrame />,
        errorElement: <StageFault />,
        children: [
          page("/projects", <ProjectsPage />),
          page("/account", <AccountPage />),
          page("/people", <PeoplePage />),
          page("/machines", <MachinesPage />),
        ],
      },
      {
        path: "/projects/:projectId",
        element: <Frame />,
        errorElement: <StageFault />,
        children: [
          { index: true, element: <Navigate to="plan" replace /> },
          page("plan", <PlanStage />),
          page("update", <UpdateStage />),
          page("ranges", <RangesStage />),
          page("risks", <RisksStage />),
          page("costs", <CostsStage />),
          page("odds", <OddsStage />),
          page("drivers", <DriversStage />),
          page("scenarios", <ScenariosStage />),
          page("brief", <BriefStage />),
        ],
      },
      { path: "*", element: <Navigate to="/projects" replace /> },
    ],
  },
]);

export const App = () => <RouterProvider router={router} />;
