import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { OddsStage } from "../features/odds/OddsStage";
import { PlanStage } from "../features/plan/PlanStage";
import { ProjectsPage } from "../features/projects/ProjectsPage";
import { RangesStage } from "../features/ranges/RangesStage";
import { NoteBar } from "../shared/ui/NoteBar";
import { UpdateStage } from "../features/update/UpdateStage";
import { Frame } from "./Frame";
import { StageFault } from "./StageFault";

const router = createBrowserRouter([
  { path: "/", element: <Navigate to="/projects" replace /> },
  { path: "/projects", element: <ProjectsPage />, errorElement: <StageFault /> },
  {
    path: "/projects/:projectId",
    element: <Frame />,
    errorElement: <StageFault />,
    children: [
      { index: true, element: <Navigate to="plan" replace /> },
      { path: "plan", element: <PlanStage />, errorElement: <StageFault /> },
      { path: "update", element: <UpdateStage />, errorElement: <StageFault /> },
      { path: "ranges", element: <RangesStage />, errorElement: <StageFault /> },
      { path: "odds", element: <OddsStage />, errorElement: <StageFault /> },
    ],
  },
  { path: "*", element: <Navigate to="/projects" replace /> },
]);

export function App() {
  return (
    <>
      <RouterProvider router={router} />
      <NoteBar />
    </>
  );
}
