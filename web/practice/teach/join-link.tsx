/** The link to a round, as a code that a phone reads and as words. */
import Button from "@mui/material/Button";
import { toString as codeOf } from "qrcode";
import { useEffect, useState } from "react";
import "./teach.css";
import { linkTo } from "../../base.ts";

export function JoinLink({ token }: { readonly token: string }) {
  const address = linkTo(`/round/${token}`);
  const [code, setCode] = useState<string>();
  const [isCopied, setCopied] = useState(false);
  useEffect(() => {
    void codeOf(address, { type: "svg", margin: 1, color: { dark: "#1d211aff", light: "#fcfaf4ff" } }).then((svg) =>
      setCode(`data:image/svg+xml;utf8,${encodeURIComponent(svg)}`),
    );
  }, [address]);
  return (
    <div className="practice-join">
      {code !== undefined && <img src={code} alt="The link as a code" className="practice-code" />}
      <div>
        <a href={address} className="practice-address" data-testid="join-link">
          {address}
        </a>
        <Button
          onClick={() =>
            void navigator.clipboard.writeText(address).then(
              () => setCopied(true),
              () => undefined,
            )
          }
        >
          {isCopied ? "Copied" : "Copy the link"}
        </Button>
      </div>
    </div>
  );
}
