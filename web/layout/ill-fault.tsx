/** What stands where even the view for the ill cannot be had: the first thing to do, in words alone. */
export function IllFault() {
  return (
    <main style={{ padding: 24, fontSize: 24 }}>
      <h1>Call your emergency number and the poison centre now.</h1>
      <p>
        Do not wait. Do not make anybody vomit. Keep what is left of the meal. Everybody who ate is looked at. Feeling
        better is a stage of it.
      </p>
    </main>
  );
}
