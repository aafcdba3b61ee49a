/** Asks the server's API. @param address of the workshop */
export const askOf = (address) => async (method, at, body) => {
  const answer = await fetch(`${address}/api${at}`, {
    ...{ method, headers: { 'content-type': 'application/json' } },
    ...(body && { body: JSON.stringify(body) }),
  });
  return answer.json();
};
