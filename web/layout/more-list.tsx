/** The list that the menu opens. */
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { Link } from "react-router";
import { EVERYWHERE } from "../addresses.ts";

interface MoreListProps {
  readonly at: HTMLElement;
  readonly onClose: () => void;
}

export function MoreList({ at, onClose }: MoreListProps) {
  return (
    <Menu open anchorEl={at} onClose={onClose}>
      {EVERYWHERE.map(({ to, name }) => (
        <MenuItem key={to} component={Link} to={to} onClick={onClose}>
          {name}
        </MenuItem>
      ))}
    </Menu>
  );
}
