import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { OddsStage } from "../features/odds/OddsStage";
import { PlanStage } from "../features/plan/PlanStage";
import { ProjectsPage } from "../features/projects/ProjectsPage";
import { RangesStage } from "../features/ranges/RangesStage";
import { NoteBar } from "../shared/ui/NoteBar";
import { UpdateStage } from "../features/update/UpdateStage";
import { Frame } from "./Frame";

const router = createBrowserRouter([
  { path: "/", element: <Navigate to="/projects" replace /> },
  { path: "/projects", element: <ProjectsPage /> },
  {
    path: "/projects/:projectId",
    element: <Frame />,
    children: [
      { index: true, element: <Navigate to="plan" replace /> },
      { path: "plan", element: <PlanStage /> },
      { path: "update", element: <UpdateStage /> },
      { path: "ranges", element: <RangesStage /> },
      { path: "odds", element: <OddsStage /> },
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
