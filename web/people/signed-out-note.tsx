/** The server does not know any more who this is: what is recorded is kept, and the way back is one touch. */
import Button from "@mui/material/Button";
import { Link } from "react-router";
import "./people.css";

export function SignedOutNote() {
  return (
    <div role="status" className="signed-out" data-testid="signed-out">
      <span className="grow">You are signed out. What you record is kept on this device, and waits.</span>
      <Button variant="outlined" component={Link} to="/sign-in">
        Sign in
      </Button>
    </div>
  );
}
